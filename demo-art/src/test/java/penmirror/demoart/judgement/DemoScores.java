package penmirror.demoart.judgement;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.BaseLine;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Signature;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.reading.DemoRead.Seen;

/** The three hands of the demo with their sheets. */
final class DemoScores {
  static final List<Hand> HANDS =
      List.of(hand(DemoRead.ODILE), hand(DemoRead.CASIMIR), hand(DemoRead.INES));

  static final StyleSheet OWN = sheet("own", DemoRead.OWN.sources());

  /** A hand with its works, its sheet and its chain of attempts in the true order. */
  record Hand(String name, List<Seen> works, List<Seen> attempts, StyleSheet plain) {

    Signature signature() {
      return Signature.of(plain, BaseLine.ownHand(OWN), Signature.USUAL);
    }

    StyleSheet sheet() {
      return SHEETS.computeIfAbsent(name, key -> plain.makingOrBreaking(signature().acts()));
    }

    /** By the sheet; made once, as it draws works anew two hundred times before its first score. */
    Scorer scorer() {
      return SCORERS.computeIfAbsent(name, key -> new Scorer(sheet()));
    }

    /** By the sheet of which nobody said what makes or breaks it. */
    Scorer plainScorer() {
      return SCORERS.computeIfAbsent(name + ", plain", key -> new Scorer(plain));
    }

    /** The same where the works' moods and manners are known. */
    StyleSheet inMoods() {
      return StyleSheet.of(
              name,
              View.FRONT,
              works.stream()
                  .map(
                      seen ->
                          seen.work()
                              .showing(
                                  new Portrayal(
                                      seen.work().shows().framing(),
                                      Optional.empty(),
                                      Mood.ofWord(seen.commission().mood().word()),
                                      seen.commission().manner().name())))
                  .toList())
          .makingOrBreaking(signature().acts());
    }
  }

  private static final Map<String, StyleSheet> SHEETS = new ConcurrentHashMap<>();
  private static final Map<String, Scorer> SCORERS = new ConcurrentHashMap<>();

  private DemoScores() {}

  private static Hand hand(DemoRead.Hand read) {
    return new Hand(
        read.name(), read.sources(), read.redraws(), sheet(read.name(), read.sources()));
  }

  private static StyleSheet sheet(String name, List<Seen> works) {
    return StyleSheet.of(name, View.FRONT, works.stream().map(Seen::work).toList());
  }
}
