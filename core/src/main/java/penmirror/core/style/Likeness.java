package penmirror.core.style;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import penmirror.core.measure.Measure;

/**
 * What a hand does otherwise on figures that are alike in what they are: hard light on the fierce
 * ones, soft on the others.
 *
 * @param word of the user's own, such as fierce
 * @param works that carry it, 3 or more
 * @param others that carry other words and not this one, 3 or more; a work nobody said a word of
 *     takes no part
 * @param differ the acts that are done otherwise by more than chance, the farthest first; the one
 *     side is the others, the other the works with the word
 */
public record Likeness(String word, int works, int others, List<Contrast.Difference> differ) {
  /** Works on either side from which on a word is asked after. */
  public static final int LEAST_WORKS = 3;

  /** Share of what is told that may be chance. */
  private static final double FALSE_SHARE = 0.1;

  public Likeness {
    differ = List.copyOf(differ);
  }

  /**
   * Every word with something to tell, by name.
   *
   * @param words by the works' ids; works without any are absent or empty
   */
  public static List<Likeness> of(StyleSheet sheet, Map<String, Set<String>> words) {
    Set<String> all =
        words.values().stream().flatMap(Set::stream).collect(Collectors.toCollection(TreeSet::new));
    List<MeasuredWork> worded =
        sheet.works().stream()
            .filter(work -> !words.getOrDefault(work.id(), Set.of()).isEmpty())
            .toList();
    List<Likeness> likenesses = new ArrayList<>();
    for (String word : all) {
      Predicate<MeasuredWork> carries =
          work -> words.getOrDefault(work.id(), Set.of()).contains(word);
      List<MeasuredWork> with = worded.stream().filter(carries).toList();
      List<MeasuredWork> without = worded.stream().filter(carries.negate()).toList();
      if (with.size() >= LEAST_WORKS && without.size() >= LEAST_WORKS) {
        Contrast contrast = Contrast.of(sheet.rulesOver(without), sheet.rulesOver(with));
        List<Contrast.Difference> differ = moreThanChance(contrast);
        if (!differ.isEmpty()) {
          likenesses.add(new Likeness(word, with.size(), without.size(), differ));
        }
      }
    }
    return likenesses;
  }

  /**
   * A sheet for one figure of which it is known what it is like: what the hand does otherwise on
   * such figures is ruled by the works of that side alone, all else by all.
   *
   * @param words by the works' ids, as for {@link #of}
   * @param figure whether it carries a word; words that are not said part nothing
   */
  public static StyleSheet narrowed(
      StyleSheet sheet,
      List<Likeness> likenesses,
      Map<String, Set<String>> words,
      Map<String, Boolean> figure) {
    Map<Measure, Set<String>> others = new LinkedHashMap<>();
    for (Likeness likeness : likenesses) {
      Boolean carries = figure.get(likeness.word());
      if (carries != null) {
        // A work nobody said a word of may be of either sort.
        Set<String> otherSide =
            words.entrySet().stream()
                .filter(work -> !work.getValue().isEmpty())
                .filter(work -> work.getValue().contains(likeness.word()) != carries)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        for (Contrast.Difference difference : likeness.differ()) {
          others
              .computeIfAbsent(difference.one().measure(), m -> new TreeSet<>())
              .addAll(otherSide);
        }
      }
    }
    // Two words that part the works the same way round may leave a measure without any.
    others
        .entrySet()
        .removeIf(
            measure ->
                sheet.worksRuledOn(measure.getKey()).stream()
                        .filter(work -> !measure.getValue().contains(work.id()))
                        .count()
                    < LEAST_WORKS);
    return sheet.saying(saying(sheet.said(), others));
  }

  /** What the user says over rules stays, and what is left out of them comes to it. */
  private static List<Said> saying(List<Said> said, Map<Measure, Set<String>> others) {
    List<Said> all = new ArrayList<>();
    Map<Measure, Set<String>> left = new LinkedHashMap<>(others);
    for (Said one : said) {
      Set<String> out = left.remove(one.measure());
      if (out == null) {
        all.add(one);
      } else {
        Set<String> both = new TreeSet<>(out);
        both.addAll(one.leftOut());
        all.add(new Said(one.measure(), one.band(), List.copyOf(both)));
      }
    }
    left.forEach((measure, out) -> all.add(new Said(measure, Optional.empty(), List.copyOf(out))));
    return all;
  }

  /**
   * Forty acts are asked at once, and two of them lie apart by chance alone: those are kept that
   * hold at a false discovery rate of a tenth (Benjamini and Hochberg 1995).
   */
  private static List<Contrast.Difference> moreThanChance(Contrast contrast) {
    int asked = contrast.differ().size() + contrast.shared().size() + contrast.unsure().size();
    List<Contrast.Difference> byChance = new ArrayList<>(contrast.differ());
    byChance.sort(Comparator.comparingDouble(Contrast.Difference::chance));
    int kept = 0;
    for (int k = 1; k <= byChance.size(); k++) {
      if (byChance.get(k - 1).chance() <= FALSE_SHARE * k / asked) {
        kept = k;
      }
    }
    List<Contrast.Difference> differ = new ArrayList<>(byChance.subList(0, kept));
    differ.sort(Comparator.comparingDouble(d -> -Math.abs(d.distance())));
    return differ;
  }
}
