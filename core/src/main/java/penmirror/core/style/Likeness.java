package penmirror.core.style;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;

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
