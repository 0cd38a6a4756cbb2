package penmirror.demoart.judgement;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Evidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.style.BaseLine;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Signature;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/** The three hands of the demo read from their pictures, small enough for seconds. */
final class DemoScores {
  static final double SCALE = 0.35;

  static final List<Hand> HANDS =
      List.of(
          hand("Odile", DemoStudio.odileMarrow()),
          hand("Casimir", DemoStudio.casimirThole()),
          hand("Ines", DemoStudio.inesVantour()));

  static final StyleSheet OWN = sheet("own", seen(DemoStudio.ownHand()));

  /** A hand with its works, its sheet and its chain of attempts in the true order. */
  record Hand(String name, List<Seen> works, List<Seen> attempts, StyleSheet plain) {

    /** What the other hands do, as their middle. */
    BaseLine others() {
      return BaseLine.otherStyles(
          HANDS.stream().filter(hand -> hand != this).map(Hand::plain).toList());
    }

    Signature signature() {
      return Signature.of(plain, BaseLine.ownHand(OWN), Signature.USUAL);
    }

    StyleSheet sheet() {
      return plain.makingOrBreaking(signature().acts());
    }
  }

  record Seen(String file, Evidence evidence) {
    MeasuredWork work() {
      return MeasuredWork.of(file, file, "", evidence);
    }
  }

  private DemoScores() {}

  private static Hand hand(String name, DemoStudio.Folder folder) {
    List<Seen> works = seen(folder.sources());
    return new Hand(name, works, seen(folder.redraws()), sheet(name, works));
  }

  private static StyleSheet sheet(String name, List<Seen> works) {
    return StyleSheet.of(name, View.FRONT, works.stream().map(Seen::work).toList());
  }

  static List<Seen> seen(List<Commission> commissions) {
    return commissions.parallelStream().map(Reading::seen).toList();
  }

  /** In a class of its own: threads that read must not wait for the one that makes this class. */
  private static final class Reading {
    static Seen seen(Commission commission) {
      DrawnWork drawn = DrawnWork.of(commission, SCALE);
      try {
        var picture = new PictureReader().open(drawn.png()).picture();
        var readings = new PixelReader().read(picture, drawn.truth(), step -> {});
        return new Seen(commission.fileName(), new Evidence(drawn.truth(), Optional.of(readings)));
      } catch (UnusablePictureException e) {
        throw new IllegalStateException(commission.fileName(), e);
      }
    }
  }
}
