package penmirror.web.sheets;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.act.Act;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Said;
import penmirror.web.sheets.SayingStore.Entry;

/** What stands of all that the user said over a study's rules. */
public final class Sayings {
  private final List<Entry> entries;
  private final Map<String, Entry> bands = new LinkedHashMap<>();
  private final Map<String, Map<Long, Entry>> leftOut = new LinkedHashMap<>();
  private final Map<String, String> words = new LinkedHashMap<>();
  private final Set<FreePair> pairs = new LinkedHashSet<>();

  /** Of what was said, the oldest first. */
  public static Sayings of(List<Entry> entries) {
    return new Sayings(entries);
  }

  /** Nothing was said. */
  public static Sayings none() {
    return new Sayings(List.of());
  }

  private Sayings(List<Entry> entries) {
    this.entries = List.copyOf(entries);
    for (Entry entry : entries) {
      switch (entry.kind()) {
        case BAND -> bands.put(entry.about(), entry);
        case AS_WORKS -> bands.remove(entry.about());
        case LEAVE_OUT ->
            leftOut
                .computeIfAbsent(entry.about(), key -> new LinkedHashMap<>())
                .put(entry.work().orElseThrow(), entry);
        case TAKE_BACK ->
            leftOut.getOrDefault(entry.about(), Map.of()).remove(entry.work().orElseThrow());
        case WORDS -> words.put(entry.about(), entry.text());
        case PAIR -> FreePair.ofKey(entry.about()).ifPresent(pairs::add);
        case NO_PAIR -> FreePair.ofKey(entry.about()).ifPresent(pairs::remove);
      }
    }
  }

  /**
   * A work that takes no part in a rule.
   *
   * @param reason in the user's words; may be empty
   */
  public record Out(long workId, String reason, Instant saidAt) {}

  /** For the sheet; measures this version does not know, and bands that cannot be, are left out. */
  List<Said> said() {
    List<Said> all = new ArrayList<>();
    for (Measure measure : MeasureCatalogue.with(own())) {
      Optional<Said.Band> band =
          Optional.ofNullable(bands.get(measure.key())).flatMap(entry -> band(measure, entry));
      List<String> ids = leftOut(measure).stream().map(out -> Long.toString(out.workId())).toList();
      if (band.isPresent() || !ids.isEmpty()) {
        all.add(new Said(measure, band, ids));
      }
    }
    return all;
  }

  private static Optional<Said.Band> band(Measure measure, Entry entry) {
    try {
      return Optional.of(new Said.Band(measure, entry.low(), entry.high()));
    } catch (IllegalArgumentException e) {
      return Optional.empty(); // An older version measured it otherwise.
    }
  }

  /** The ratios that the user added, in the order in which that was. */
  public List<Measure> own() {
    return pairs.stream().map(FreePair::measure).toList();
  }

  public List<Out> leftOut(Measure measure) {
    return leftOut.getOrDefault(measure.key(), Map.of()).entrySet().stream()
        .map(e -> new Out(e.getKey(), e.getValue().text(), e.getValue().saidAt()))
        .toList();
  }

  /** When the rule was set by hand; empty where the works decide. */
  public Optional<Instant> setByHand(Measure measure) {
    return Optional.ofNullable(bands.get(measure.key())).map(Entry::saidAt);
  }

  /** The user's own sentence for an act; empty where the sheet's stands. */
  public Optional<String> words(Act act) {
    return Optional.ofNullable(words.get(act.key())).filter(text -> !text.isEmpty());
  }

  /** Whether there is anything to be taken back. */
  public boolean isAnythingSaid() {
    return !entries.isEmpty();
  }
}
