package penmirror.demoart.studio;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import penmirror.core.colour.OkLab;
import penmirror.core.figure.View;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.figure.Subject;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.pose.Pose;

/**
 * Heads at which a face is hard to find, drawn to fit and to prove by: each kind in hands that the
 * studio's own works are not drawn in.
 */
public enum OddHead {
  PLAIN,
  WINK,
  PATCH,
  GLASSES,
  DARK_GLASSES,
  LAUGH,
  LINE_ONLY,
  DARK_SKIN,
  PALE_SKIN,
  HAIR_LIKE_SKIN,
  DOT_EYES,
  ARC_EYES,
  BARE_BROWS;

  /** How far a parameter is moved from that of a hand, as a share of it. */
  private static final double MOVED = 0.2;

  private static final List<Parameter> MOVING =
      List.of(
          Parameter.EYE_LINE,
          Parameter.EYE_WIDTH,
          Parameter.EYE_ASPECT,
          Parameter.EYE_SPACING,
          Parameter.BROW_GAP,
          Parameter.BROW_WEIGHT,
          Parameter.NOSE_BASE,
          Parameter.MOUTH_WIDTH,
          Parameter.HEAD_ASPECT,
          Parameter.IRIS,
          Parameter.JAW,
          Parameter.HAIR_LIFT);

  private static final List<Manner> HANDS =
      List.of(Hands.ODILE, Hands.INES, Hands.INES_INKED, Hands.OWN);

  /** Such as dark-glasses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The same number always gives the same head.
   *
   * @param number any; heads of different numbers differ in hand, person and mood, and every third
   *     is turned
   */
  public Commission drawn(int number) {
    return drawn(number, number % 3 == 2 ? View.THREE_QUARTER : View.FRONT);
  }

  /**
   * The same from a side of one's choice.
   *
   * @param number as for {@link #drawn(int)}
   */
  public Commission drawn(int number, View view) {
    Random random = new Random(1000L * number + ordinal());
    Commission model = model(random);
    Manner hand = HANDS.get(random.nextInt(HANDS.size()));
    Manner manner = hand.moved("made " + number, MOVING, MOVED, random);
    Subject.Hair[] cuts = Subject.Hair.values();
    Subject subject = model.subject().with(cuts[random.nextInt(cuts.length)]).wearing(eyewear());
    Palette palette = palette(model.palette(), random);
    return new Commission(
        word() + "-" + number,
        word() + " " + number,
        this == LINE_ONLY ? inLine(manner) : eyes(manner),
        subject,
        palette,
        Pose.STANDING,
        view,
        random.nextBoolean() ? Cut.FACE : Cut.BUST,
        mood(Mood.USUAL.get(random.nextInt(Mood.USUAL.size()))),
        random.nextBoolean(),
        random.nextInt(100_000),
        List.of());
  }

  private static Commission model(Random random) {
    List<List<Commission>> folders =
        List.of(
            DemoStudio.odileMarrow().sources(),
            DemoStudio.inesVantour().sources(),
            DemoStudio.ownHand());
    List<Commission> folder = folders.get(random.nextInt(folders.size()));
    return folder.get(random.nextInt(folder.size()));
  }

  private Subject.Eyewear eyewear() {
    return switch (this) {
      case PATCH -> Subject.Eyewear.PATCH;
      case GLASSES -> Subject.Eyewear.GLASSES;
      case DARK_GLASSES -> Subject.Eyewear.DARK_GLASSES;
      default -> Subject.Eyewear.NONE;
    };
  }

  private Mood mood(Mood usual) {
    return switch (this) {
      case WINK -> Mood.WINKING;
      case LAUGH -> Mood.LAUGHING;
      default -> usual;
    };
  }

  private Manner eyes(Manner manner) {
    return switch (this) {
      case DOT_EYES -> withEyes(manner, Habits.Eyes.DOT);
      case ARC_EYES -> withEyes(manner, Habits.Eyes.ARC);
      case BARE_BROWS -> manner.with(manner.name(), Map.of(Parameter.BROW_WEIGHT, 0.005));
      default -> manner;
    };
  }

  private static Manner withEyes(Manner manner, Habits.Eyes eyes) {
    Habits habits = manner.habits();
    return new Manner(
        manner.name(),
        manner.centre(),
        manner.spread(),
        manner.shading(),
        manner.hatching(),
        new Habits(
            habits.nose(), habits.lips(), habits.blush(), habits.halfFace(), eyes, habits.folds()));
  }

  private static Manner inLine(Manner manner) {
    return manner.with(
        manner.name(),
        Map.of(
            Parameter.SHADE_STEP, 0.0,
            Parameter.SHADE_EDGE, 0.0,
            Parameter.SHADE_RIM, 1.0,
            Parameter.LIGHT_REACH, 0.0,
            Parameter.LINE_TINT, 0.0));
  }

  private Palette palette(Palette usual, Random random) {
    return switch (this) {
      case LINE_ONLY -> inLine(usual);
      case DARK_SKIN ->
          usual
              .with(Role.SKIN, skin(0.3 + 0.15 * random.nextDouble(), 0.06))
              .with(Role.HAIR, grey(0.8 + 0.15 * random.nextDouble()))
              .with(Role.INK, grey(0.15))
              .with(Role.BLUSH, skin(0.4, 0.09))
              .with(Role.MOUTH, skin(0.25, 0.08));
      case PALE_SKIN ->
          usual
              .with(Role.SKIN, skin(0.93, 0.02))
              .with(Role.HAIR, skin(0.9 - 0.1 * random.nextDouble(), 0.06));
      case HAIR_LIKE_SKIN -> {
        double light = 0.45 + 0.35 * random.nextDouble();
        yield usual.with(Role.SKIN, skin(light, 0.08)).with(Role.HAIR, skin(light - 0.03, 0.085));
      }
      default -> usual;
    };
  }

  private static Palette inLine(Palette usual) {
    Palette palette = usual;
    OkLab paper = usual.of(Role.PAPER);
    for (Role role : Role.values()) {
      palette = role == Role.INK ? palette : palette.with(role, paper);
    }
    return palette;
  }

  private static OkLab skin(double lightness, double chroma) {
    double hue = Math.toRadians(55);
    return new OkLab(lightness, chroma * Math.cos(hue), chroma * Math.sin(hue));
  }

  private static OkLab grey(double lightness) {
    return new OkLab(lightness, 0, 0);
  }
}
