package penmirror.demoart.studio;

import static penmirror.core.figure.View.FRONT;
import static penmirror.core.figure.View.SIDE;
import static penmirror.core.figure.View.THREE_QUARTER;
import static penmirror.demoart.figure.Mood.CALM;
import static penmirror.demoart.figure.Mood.CROSS;
import static penmirror.demoart.figure.Mood.GLAD;
import static penmirror.demoart.figure.Mood.KEEN;
import static penmirror.demoart.figure.Mood.SAD;
import static penmirror.demoart.figure.Mood.SLY;
import static penmirror.demoart.figure.Mood.STARTLED;
import static penmirror.demoart.studio.Cut.BUST;
import static penmirror.demoart.studio.Cut.FACE;
import static penmirror.demoart.studio.Cut.FULL;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import penmirror.core.figure.View;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.figure.Subject;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Slip.Recoloured;
import penmirror.demoart.studio.Slip.Scaled;
import penmirror.demoart.studio.Slip.Stepped;

/**
 * The demo studio: three illustrators, the cartoonist's own hand, Bastian Crumb, and how he was
 * redrawn after each of the three. All people and pictures are invented.
 */
public final class DemoStudio {

  /**
   * One illustrator's pictures and what was drawn after them.
   *
   * @param serial where the pictures appeared
   * @param redraws of Bastian, from the first attempt to the best
   * @param traced a source traced by the own hand
   * @param copied a source copied by eye, with small known displacements
   */
  public record Folder(
      String illustrator,
      String serial,
      List<Commission> sources,
      List<Commission> redraws,
      Commission traced,
      Commission copied) {}

  private DemoStudio() {}

  public static Folder odileMarrow() {
    Desk desk = new Desk("lantern-barge", Hands.ODILE, 4100);
    desk.draw("Pell, lantern raised", Cast.PELL, Pose.HOLDING_UP, FRONT, FULL, KEEN, false);
    desk.draw("Words with the ferryman", Cast.PELL, Pose.HANDS_ON_HIPS, FRONT, FULL, CROSS, false);
    desk.draw("Tam keeps his word", Cast.TAM, Pose.LEANING, FRONT, FULL, SLY, false);
    desk.draw("Along the quay", Cast.PELL, Pose.WALKING, SIDE, FULL, CALM, false);
    desk.draw("Bread for the night shift", Cast.ROSALBA, Pose.CARRYING, FRONT, FULL, GLAD, false);
    desk.draw("Nobody's crate", Cast.TAM, Pose.SEATED, THREE_QUARTER, FULL, CALM, true);
    desk.draw("Pell, morning", Cast.PELL, Pose.STANDING, FRONT, BUST, GLAD, false);
    desk.draw("The lamps are out", Cast.PELL, Pose.ARMS_UP, THREE_QUARTER, BUST, STARTLED, false);
    desk.draw("Rosalba listens", Cast.ROSALBA, Pose.STANDING, THREE_QUARTER, BUST, KEEN, true);
    desk.draw("Tam, night wind", Cast.TAM, Pose.STANDING, SIDE, BUST, SAD, true);
    desk.draw("Pell, last light", Cast.PELL, Pose.STANDING, FRONT, FACE, SAD, false);
    desk.draw("Rosalba laughs", Cast.ROSALBA, Pose.STANDING, FRONT, FACE, GLAD, true);
    return folder("Odile Marrow", "The Lantern Barge", desk, Cast.PELL, 0, 6);
  }

  public static Folder casimirThole() {
    Desk desk = new Desk("salt-ledger", Hands.CASIMIR, 8600);
    desk.draw("Hask at the weigh house", Cast.HASK, Pose.STANDING, FRONT, FULL, CROSS, false);
    desk.draw("Brann and the tide", Cast.BRANN, Pose.LEANING, FRONT, FULL, CALM, false);
    desk.draw("The widow's lamp", Cast.SILL, Pose.HOLDING_UP, FRONT, FULL, SAD, false);
    desk.draw("Home before the frost", Cast.HASK, Pose.WALKING, SIDE, FULL, CALM, false);
    desk.draw("An unpaid line", Cast.HASK, Pose.POINTING, THREE_QUARTER, FULL, CROSS, false);
    desk.draw("Waiting for the barge", Cast.BRANN, Pose.SEATED, THREE_QUARTER, FULL, SAD, true);
    desk.draw("Hask counts twice", Cast.HASK, Pose.STANDING, FRONT, BUST, SLY, false);
    desk.draw("Sill, unasked", Cast.SILL, Pose.STANDING, THREE_QUARTER, BUST, CROSS, false);
    desk.draw("Brann hears it", Cast.BRANN, Pose.STANDING, SIDE, BUST, STARTLED, true);
    desk.draw("Brann laughs once", Cast.BRANN, Pose.STANDING, FRONT, BUST, GLAD, true);
    desk.draw("Hask, close", Cast.HASK, Pose.STANDING, FRONT, FACE, CALM, false);
    desk.draw("Sill at the window", Cast.SILL, Pose.STANDING, FRONT, FACE, SAD, true);
    return folder("Casimir Thole", "The Salt Ledger", desk, Cast.HASK, 0, 6);
  }

  public static Folder inesVantour() {
    Desk desk = new Desk("orchard-hours", Hands.INES, 6400);
    desk.draw("Orla with the windfalls", Cast.ORLA, Pose.CARRYING, FRONT, FULL, CALM, false);
    desk.draw("Fen lights the jetty", Cast.FEN, Pose.HOLDING_UP, FRONT, FULL, GLAD, false);
    desk.draw("Sanna, no hurry", Cast.SANNA, Pose.WEIGHT_ON_ONE_LEG, FRONT, FULL, SLY, false);
    desk.draw("Down to the boats", Cast.ORLA, Pose.WALKING, THREE_QUARTER, FULL, KEEN, false);
    desk.draw("Orla, noon", Cast.ORLA, Pose.STANDING, FRONT, BUST, GLAD, false);
    desk.draw("Fen, side light", Cast.FEN, Pose.STANDING, THREE_QUARTER, BUST, CALM, true);
    desk.draw("Sanna turns", Cast.SANNA, Pose.STANDING, SIDE, BUST, CALM, false);
    desk.draw("Orla, close", Cast.ORLA, Pose.STANDING, FRONT, FACE, KEEN, false);
    desk.inAnotherManner(Hands.INES_INKED);
    desk.draw("The first apple", Cast.FEN, Pose.ARMS_UP, FRONT, FULL, STARTLED, false);
    desk.draw("Sanna on the step", Cast.SANNA, Pose.SEATED, THREE_QUARTER, FULL, CALM, false);
    desk.draw("Fen, cross", Cast.FEN, Pose.STANDING, FRONT, BUST, CROSS, false);
    desk.draw("Sanna, close", Cast.SANNA, Pose.STANDING, FRONT, FACE, GLAD, true);
    return folder("Ines Vantour", "Orchard Hours", desk, Cast.ORLA, 0, 4);
  }

  /** Ten drawings that show the cartoonist's habits. */
  public static List<Commission> ownHand() {
    Desk desk = new Desk("own", Hands.OWN, 6100);
    desk.draw("Wick with the post", Cast.WICK, Pose.CARRYING, FRONT, FULL, GLAD, false);
    desk.draw("Mags at her stall", Cast.MAGS, Pose.HOLDING_UP, FRONT, FULL, KEEN, false);
    desk.draw("Bastian, arms up", Cast.BASTIAN, Pose.ARMS_UP, FRONT, FULL, STARTLED, false);
    desk.draw("Wick runs late", Cast.WICK, Pose.WALKING, SIDE, FULL, STARTLED, false);
    desk.draw("Mags sits down", Cast.MAGS, Pose.SEATED, THREE_QUARTER, FULL, CALM, true);
    desk.draw("Mags, morning", Cast.MAGS, Pose.STANDING, FRONT, BUST, CALM, false);
    desk.draw("Wick, cross", Cast.WICK, Pose.STANDING, THREE_QUARTER, BUST, CROSS, false);
    desk.draw("Bastian, side", Cast.BASTIAN, Pose.STANDING, SIDE, BUST, CALM, false);
    desk.draw("Wick, close", Cast.WICK, Pose.STANDING, FRONT, FACE, KEEN, false);
    desk.draw("Mags, close", Cast.MAGS, Pose.STANDING, FRONT, FACE, SAD, true);
    return desk.commissions;
  }

  /** Bastian Crumb as the cartoonist draws him: front, then three-quarter. */
  public static List<Commission> character() {
    Desk desk = new Desk("bastian-crumb", Hands.OWN, 6200);
    desk.draw(
        "Bastian Crumb, night baker", Cast.BASTIAN, Pose.HOLDING_UP, FRONT, FULL, KEEN, false);
    desk.draw(
        "Bastian Crumb, turned",
        Cast.BASTIAN,
        Pose.HANDS_ON_HIPS,
        THREE_QUARTER,
        FULL,
        CALM,
        false);
    return desk.commissions;
  }

  /** Every picture of the studio, once. */
  public static List<Commission> everything() {
    List<Commission> all = new ArrayList<>();
    for (Folder folder : List.of(odileMarrow(), casimirThole(), inesVantour())) {
      all.addAll(folder.sources());
      all.addAll(folder.redraws());
      all.add(folder.traced());
      all.add(folder.copied());
    }
    all.addAll(ownHand());
    all.addAll(character());
    return all;
  }

  private static Folder folder(
      String illustrator, String serial, Desk desk, Subject model, int traced, int copied) {
    Commission toTrace = desk.commissions.get(traced);
    Commission toCopy = desk.commissions.get(copied);
    return new Folder(
        illustrator,
        serial,
        List.copyOf(desk.commissions),
        attempts(desk, model),
        toTrace
            .drawnBy(tracingLine(toTrace.manner()))
            .slipping(desk.prefix + "-traced.png", toTrace.title() + ", traced", List.of()),
        toCopy.slipping(
            desk.prefix + "-copied.png",
            toCopy.title() + ", copied by eye",
            List.of(
                new Stepped("eyes 1.2 % of a head too high", Parameter.EYE_LINE, -0.012),
                new Stepped("mouth 0.8 % of a head too low", Parameter.MOUTH_LINE, 0.008),
                new Scaled("eyes 4 % too wide", Parameter.EYE_WIDTH, 1.04),
                new Scaled("jaw 3 % too narrow", Parameter.JAW, 0.97))));
  }

  /** The forms stay; the line is the own hand's, thin and careful. */
  private static Manner tracingLine(Manner manner) {
    double line = Hands.OWN.centre().get(Parameter.LINE_WIDTH);
    return manner.with(
        manner.name() + ", traced",
        Map.of(Parameter.LINE_WIDTH, line, Parameter.WOBBLE, 0.35, Parameter.OUTLINE, 1.2));
  }

  /** Four attempts at Bastian in the illustrator's manner, each with fewer slips. */
  private static List<Commission> attempts(Desk desk, Subject model) {
    Commission plain =
        new Commission(
            "",
            "",
            desk.first,
            Cast.bastianAfter(model),
            Cast.bastianAfter(model).palette(),
            Pose.HOLDING_UP,
            FRONT,
            FULL,
            KEEN,
            false,
            desk.seed + 90,
            List.of());
    List<List<Slip>> slips =
        List.of(
            List.of(
                eyesWide(1.18),
                eyesHigh(0.06),
                thinLine(0.6),
                wideWaist(1.2),
                smallHands(0.8),
                softShade(60),
                fullHair(1.3),
                offColour(0.7)),
            List.of(
                eyesWide(1.1),
                eyesHigh(0.035),
                thinLine(0.75),
                wideWaist(1.1),
                smallHands(0.88),
                softShade(30)),
            List.of(eyesWide(1.04), eyesHigh(0.015), thinLine(0.9), smallHands(0.95)),
            List.of(thinLine(0.96), offColour(0.35)));
    List<Commission> attempts = new ArrayList<>();
    for (int i = 0; i < slips.size(); i++) {
      attempts.add(
          plain.slipping(
              desk.prefix + "-bastian-" + (i + 1) + ".png",
              "Bastian Crumb, attempt " + (i + 1),
              slips.get(i)));
    }
    return attempts;
  }

  private static Slip eyesWide(double factor) {
    return new Scaled(percent("eyes %d %% too large", factor - 1), Parameter.EYE_WIDTH, factor);
  }

  private static Slip eyesHigh(double heads) {
    return new Stepped(percent("eyes %d %% of a head too high", heads), Parameter.EYE_LINE, -heads);
  }

  private static Slip thinLine(double factor) {
    return new Scaled(percent("line at %d %%", factor), Parameter.LINE_WIDTH, factor);
  }

  private static Slip wideWaist(double factor) {
    return new Scaled(percent("waist %d %% too wide", factor - 1), Parameter.WAIST, factor);
  }

  private static Slip smallHands(double factor) {
    return new Scaled(percent("hands at %d %%", factor), Parameter.HAND, factor);
  }

  private static Slip softShade(double edge) {
    return new Stepped(
        "shading too soft by " + (int) edge + " thousandths of a head", Parameter.SHADE_EDGE, edge);
  }

  private static Slip fullHair(double factor) {
    return new Scaled(percent("hair %d %% too full", factor - 1), Parameter.HAIR_SIDE, factor);
  }

  private static Slip offColour(double share) {
    return new Recoloured("coat too violet", Role.COAT, 0, 0.05 * share, -0.035 * share);
  }

  private static String percent(String words, double share) {
    return String.format(Locale.ROOT, words, Math.round(share * 100));
  }

  /** Numbers and seeds the pictures of one hand as they are drawn. */
  private static final class Desk {
    private final String prefix;
    private final Manner first;
    private final long seed;
    private final List<Commission> commissions = new ArrayList<>();
    private Manner manner;

    Desk(String prefix, Manner manner, long seed) {
      this.prefix = prefix;
      this.first = manner;
      this.manner = manner;
      this.seed = seed;
    }

    void inAnotherManner(Manner other) {
      manner = other;
    }

    void draw(
        String title, Subject subject, Pose pose, View view, Cut cut, Mood mood, boolean mirrored) {
      int number = commissions.size() + 1;
      commissions.add(
          new Commission(
              prefix + "-" + number + ".png",
              title,
              manner,
              subject,
              subject.palette(),
              pose,
              view,
              cut,
              mood,
              mirrored,
              seed + number,
              List.of()));
    }
  }
}
