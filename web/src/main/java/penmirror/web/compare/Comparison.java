package penmirror.web.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.style.Contrast;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.ContrastWords;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;

/** Two studies held against each other, or two kinds of pictures of one. */
@Component
class Comparison {
  private static final String ALL = "all";

  private final StudyStore studies;
  private final SheetMaker sheets;
  private final MessageSource messages;

  Comparison(StudyStore studies, SheetMaker sheets, MessageSource messages) {
    this.studies = studies;
    this.sheets = sheets;
    this.messages = messages;
  }

  /**
   * @param one what stands above; its key and name
   * @param differ in sentences, the farthest first
   * @param shared acts that both do alike, in sentences of the one
   * @param unsure names of acts that may lie apart by chance
   */
  record Page(
      Chosen one,
      Chosen other,
      List<Chosen> choices,
      List<Row> differ,
      List<Shared> shared,
      List<String> unsure) {}

  /**
   * @param key as an address has it
   * @param works how many it is made of
   */
  record Chosen(String key, String name, int works) {}

  /**
   * @param difference in words, such as wider by a third of a head
   * @param alike whether each by itself is told in the same words, which are then said once
   */
  record Row(
      String key,
      String name,
      String difference,
      String one,
      String other,
      boolean alike,
      PairStrip strip) {}

  record Shared(String name, String sentence) {}

  Page page(Study study, String oneKey, Optional<String> otherKey) {
    List<Chosen> choices = choices(study);
    Chosen one = chosen(choices, oneKey);
    Chosen other =
        otherKey
            .map(key -> chosen(choices, key))
            .or(() -> choices.stream().filter(c -> !c.equals(one)).findFirst())
            .orElse(one);
    StyleSheet first = sheet(study, one.key());
    StyleSheet second = sheet(study, other.key());
    Contrast contrast = Contrast.of(first, second);
    return new Page(
        one,
        other,
        choices,
        contrast.differ().stream().map(difference -> row(difference, first, second)).toList(),
        contrast.shared().stream()
            .map(act -> new Shared(ActWords.name(act), ActWords.sentence(first, act).orElse("")))
            .toList(),
        contrast.unsure().stream().map(ActWords::name).toList());
  }

  private static Row row(Contrast.Difference difference, StyleSheet first, StyleSheet second) {
    String one = ActWords.sentence(difference.one());
    String other = ActWords.sentence(difference.other());
    return new Row(
        difference.act().key(),
        ActWords.name(difference.act()),
        ContrastWords.of(difference),
        one,
        other,
        one.equals(other),
        PairStrip.of(first, difference.one(), second, difference.other()));
  }

  /** All of the study, each kind and mood that several of its works show, and the other studies. */
  private List<Chosen> choices(Study study) {
    StyleSheet sheet = sheets.sheetOf(study);
    List<Chosen> choices = new ArrayList<>();
    choices.add(new Chosen(ALL, study.name(), sheet.works().size()));
    for (Study other : studies.all()) {
      StyleSheet theirs = sheets.sheetOf(other);
      if (other.id() != study.id() && !theirs.rules().isEmpty()) {
        choices.add(new Chosen("study:" + other.id(), other.name(), theirs.works().size()));
      }
    }
    List<String> scopes = new ArrayList<>();
    Arrays.stream(Kind.values()).forEach(kind -> scopes.add("kind:" + kind.word()));
    Arrays.stream(Mood.values()).forEach(mood -> scopes.add("mood:" + mood.word()));
    sheet.works().stream()
        .map(work -> work.shows().manner())
        .filter(manner -> !manner.isEmpty())
        .distinct()
        .sorted()
        .forEach(manner -> scopes.add("manner:" + manner));
    for (String scope : scopes) {
      int works = showing(sheet, scope).size();
      if (works > 1 && works < sheet.works().size()) {
        choices.add(new Chosen(scope, name(study, scope), works));
      }
    }
    return choices;
  }

  private String name(Study study, String scope) {
    int colon = scope.indexOf(':');
    String of = scope.substring(0, colon);
    String value = scope.substring(colon + 1);
    String word =
        of.equals("manner")
            ? value
            : messages.getMessage(of + "." + value, new Object[0], Locale.ENGLISH);
    return messages.getMessage("compare.scope", new Object[] {study.name(), word}, Locale.ENGLISH);
  }

  private static Chosen chosen(List<Chosen> choices, String key) {
    return choices.stream()
        .filter(choice -> choice.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(key, 40)));
  }

  private StyleSheet sheet(Study study, String key) {
    StyleSheet sheet = sheets.sheetOf(study);
    if (key.equals(ALL)) {
      return sheet;
    }
    if (key.startsWith("study:")) {
      return sheets.sheetOf(studies.require(Long.parseLong(key.substring("study:".length()))));
    }
    return sheet.rulesOver(showing(sheet, key));
  }

  private static List<MeasuredWork> showing(StyleSheet sheet, String scope) {
    int colon = scope.indexOf(':');
    String value = scope.substring(colon + 1);
    return sheet.works().stream()
        .filter(
            work ->
                switch (scope.substring(0, colon)) {
                  case "kind" ->
                      work.shows().kind().filter(k -> k.word().equals(value)).isPresent();
                  case "mood" ->
                      work.shows().mood().filter(m -> m.word().equals(value)).isPresent();
                  default -> work.shows().manner().equals(value);
                })
        .toList();
  }
}
