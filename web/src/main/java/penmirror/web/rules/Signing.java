package penmirror.web.rules;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.style.Signature;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.BaseLines;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sheets.SignatureStore;
import penmirror.web.sheets.SignatureStore.Kept;
import penmirror.web.sheets.SignatureStore.Trait;
import penmirror.web.studies.Study;

/** Says what makes or breaks a style: accepted as proposed, changed one by one, put into words. */
@Component
public class Signing {
  private static final int LONGEST_WORDS = 200;
  private static final int LONGEST_HEADLINE = 40;

  private final SignatureStore signatures;
  private final SheetMaker sheets;
  private final BaseLines baseLines;

  Signing(SignatureStore signatures, SheetMaker sheets, BaseLines baseLines) {
    this.signatures = signatures;
    this.sheets = sheets;
    this.baseLines = baseLines;
  }

  /** A sheet that came as a file stays as it came. */
  private void mayBeSet(Study study) {
    if (sheets.load(study).isFromFile()) {
      throw new RefusedException("rules.file.fixed");
    }
  }

  /** Takes what the sheet proposes, in its words, in place of what was accepted before. */
  @Transactional
  public void acceptProposed(Study study) {
    mayBeSet(study);
    Signature proposed = Signature.of(sheets.sheetOf(study), baseLines.of(study), Signature.USUAL);
    if (proposed.traits().isEmpty()) {
      throw new RefusedException("rules.signature.none");
    }
    signatures.keep(
        study.id(),
        new Kept(
            proposed.acts().stream().map(act -> new Trait(act, "")).toList(),
            signatures.of(study.id()).headline()));
  }

  /** Nothing makes or breaks it any more; the headline stays. */
  @Transactional
  public void drop(Study study) {
    mayBeSet(study);
    signatures.keep(study.id(), new Kept(List.of(), signatures.of(study.id()).headline()));
  }

  /** Adds an act at the end, or takes it out where it was one of them. */
  @Transactional
  public void turn(Study study, String actKey) {
    mayBeSet(study);
    Act act =
        Acts.byKey(actKey)
            .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(actKey, 40)));
    Kept kept = signatures.of(study.id());
    List<Trait> traits = new ArrayList<>(kept.traits());
    if (!traits.removeIf(trait -> trait.act().equals(act))) {
      if (traits.size() == Signature.MOST) {
        throw new RefusedException("rules.signature.full", Signature.MOST);
      }
      traits.add(new Trait(act, ""));
    }
    signatures.keep(study.id(), new Kept(traits, kept.headline()));
  }

  /** Moves an act one place up. */
  @Transactional
  public void raise(Study study, String actKey) {
    mayBeSet(study);
    Kept kept = signatures.of(study.id());
    List<Trait> traits = new ArrayList<>(kept.traits());
    for (int i = 1; i < traits.size(); i++) {
      if (traits.get(i).act().key().equals(actKey)) {
        traits.add(i - 1, traits.remove(i));
        break;
      }
    }
    signatures.keep(study.id(), new Kept(traits, kept.headline()));
  }

  /** The user's own sentence for an act; the sheet's again where it is empty. */
  @Transactional
  public void word(Study study, String actKey, String words) {
    mayBeSet(study);
    Kept kept = signatures.of(study.id());
    signatures.keep(
        study.id(),
        new Kept(
            kept.traits().stream()
                .map(
                    trait ->
                        trait.act().key().equals(actKey)
                            ? new Trait(trait.act(), Texts.cut(words.strip(), LONGEST_WORDS))
                            : trait)
                .toList(),
            kept.headline()));
  }

  @Transactional
  public void headline(Study study, String word) {
    mayBeSet(study);
    signatures.keep(
        study.id(),
        new Kept(signatures.of(study.id()).traits(), Texts.cut(word.strip(), LONGEST_HEADLINE)));
  }
}
