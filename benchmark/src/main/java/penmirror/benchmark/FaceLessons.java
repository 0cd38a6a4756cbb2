package penmirror.benchmark;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.FaceNets;
import penmirror.core.proposal.HeadCrop;
import penmirror.core.proposal.net.ConvNet;
import penmirror.core.raster.Picture;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Hands;
import penmirror.demoart.studio.Illustration;
import penmirror.demoart.studio.OddHead;
import penmirror.demoart.studio.Place;

/**
 * Teaches the nets of {@link FaceNets} on heads that are drawn for it alone: odd ones of every
 * kind, and usual ones of all hands moved by up to a third. Each is shown stretched, turned over,
 * recoloured, with thinner and thicker lines, blurred, and in a frame that is a little off, so that
 * no two looks are alike; beside faces there are pairs of spots that look like eyes and are none.
 */
public final class FaceLessons {
  /** Numbers of heads from here on are kept for this; tests have others. */
  private static final int FIRST = 1000;

  private static final int ODD_EACH = 160;
  private static final int USUAL = 1200;
  private static final double SCALE = 0.4;
  private static final double FULL_SCALE = 0.55;
  private static final double BY = 0.3;
  private static final int HEAD_SIDE = 176;
  private static final double HEAD_PER_UNIT = 28;
  private static final int OTHER_SIDE = 72;
  private static final double OTHER_PER_UNIT = 18;
  private static final int MOST_OTHERS = 5;

  /**
   * How a net is taught.
   *
   * @param seconds on two cores
   * @param off spread of where the frame it sees lies off the true one, in eye distances
   * @param scaled spread of its size, as a share
   * @param turnedDegrees spread of its tilt
   */
  private record Course(double seconds, double off, double scaled, double turnedDegrees) {
    /** Pairs that are no eyes are shown about as they were found. */
    static final Course OTHERS = new Course(0, 0.03, 0.05, Math.toDegrees(0.05));

    static Course of(FaceNets.Kind kind) {
      return switch (kind) {
        case FACE -> new Course(600, 0.1, 0.14, 6);
        case HEAD -> new Course(1500, 0.06, 0.08, 4);
        case EYE -> new Course(420, 0.05, 0.08, 4);
        case BROW -> new Course(240, 0.08, 0.08, 4);
        case MOUTH -> new Course(300, 0.09, 0.1, 5);
        case NOSE -> new Course(270, 0.12, 0.1, 5);
        case MOOD -> new Course(520, 0.06, 0.06, 3);
      };
    }
  }

  private static final List<Manner> HANDS =
      List.of(Hands.ODILE, Hands.CASIMIR, Hands.INES, Hands.INES_INKED, Hands.CASIMIR, Hands.OWN);

  private static final List<Pose> POSES =
      List.of(Pose.STANDING, Pose.WALKING, Pose.LEANING, Pose.SEATED);

  /**
   * One drawn head.
   *
   * @param places true ones, in the frame of its eyes
   * @param others pairs of spots that are no eyes
   * @param mood empty for one that is none of those that are told apart
   */
  record Head(
      HeadCrop face,
      Map<Landmark, Point> places,
      List<HeadCrop> others,
      Turn turn,
      Optional<penmirror.core.figure.Mood> mood) {}

  private FaceLessons() {}

  /**
   * @param arguments the folder to which the nets are written; then the share of heads and of the
   *     time, such as 0.01 for a try; then the kinds to teach, all where none is named
   */
  public static void main(String[] arguments) throws IOException {
    double share = arguments.length > 1 ? Double.parseDouble(arguments[1]) : 1;
    List<Head> heads = commissions(share).parallelStream().map(FaceLessons::drawn).toList();
    System.out.println(heads.size() + " heads drawn");
    for (FaceNets.Kind kind : kinds(List.of(arguments))) {
      ConvNet net = kind.untaught();
      NetTeacher.teach(
          net,
          kind.first(),
          random -> new Look(kind, heads.get(random.nextInt(heads.size())), random).example(),
          share * Course.of(kind).seconds());
      Path file = Path.of(arguments[0], kind.name().toLowerCase(Locale.ROOT) + ".net");
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        net.write(out);
      }
      System.out.println(file);
    }
  }

  private static List<FaceNets.Kind> kinds(List<String> arguments) {
    List<FaceNets.Kind> named = arguments.stream().skip(2).map(FaceNets.Kind::valueOf).toList();
    return named.isEmpty() ? List.of(FaceNets.Kind.values()) : named;
  }

  private static List<Commission> commissions(double share) {
    List<Commission> all = new ArrayList<>();
    for (int i = 0; i < share * ODD_EACH; i++) {
      for (OddHead kind : OddHead.values()) {
        all.add(kind.drawn(FIRST + i));
      }
    }
    for (int i = 0; i < share * USUAL; i++) {
      all.add(usual(i));
    }
    return all;
  }

  private static Commission usual(int number) {
    Random random = new Random(77_000L + number);
    List<Commission> everybody = new ArrayList<>(DemoStudio.odileMarrow().sources());
    everybody.addAll(DemoStudio.casimirThole().sources());
    everybody.addAll(DemoStudio.inesVantour().sources());
    everybody.addAll(DemoStudio.ownHand());
    Commission model = everybody.get(random.nextInt(everybody.size()));
    Cut cut = Cut.values()[random.nextInt(Cut.values().length)];
    return new Commission(
        "usual-" + number,
        "usual",
        HANDS.get(number % HANDS.size()).moved("usual " + number, ViewWeights.MOVED, BY, random),
        model.subject(),
        model.palette(),
        cut == Cut.FULL ? POSES.get(random.nextInt(POSES.size())) : Pose.STANDING,
        random.nextInt(3) == 0 ? View.THREE_QUARTER : View.FRONT,
        cut,
        Mood.USUAL.get(random.nextInt(Mood.USUAL.size())),
        random.nextBoolean(),
        random.nextInt(100_000),
        List.of());
  }

  static Head drawn(Commission commission) {
    double scale = commission.cut() == Cut.FULL ? FULL_SCALE : SCALE;
    Illustration drawn = Illustration.of(commission, scale);
    Picture picture = Picture.from(drawn.image());
    Map<Landmark, Place> truth = drawn.places();
    Point left = middle(truth, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
    Point right = middle(truth, Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER);
    Map<Landmark, Point> places = new EnumMap<>(Landmark.class);
    Point across = right.minus(left).times(1 / left.distanceTo(right));
    truth.forEach(
        (landmark, place) -> {
          if (place.seen() != Place.Seen.AWAY) {
            Point off = place.point().minus(left.midpointTo(right));
            double down = off.dot(new Point(-across.y(), across.x()));
            places.put(
                landmark, new Point(off.dot(across), down).times(1 / left.distanceTo(right)));
          }
        });
    return new Head(
        HeadCrop.round(picture, left, right, HEAD_SIDE, HEAD_PER_UNIT),
        places,
        HeadCrop.roundNoEyes(picture, left, right, MOST_OTHERS, OTHER_SIDE, OTHER_PER_UNIT),
        turn(commission),
        penmirror.core.figure.Mood.ofWord(commission.mood().word()));
  }

  private static Turn turn(Commission commission) {
    return commission.view() == View.FRONT
        ? Turn.AHEAD
        : commission.mirrored() ? Turn.LEFT : Turn.RIGHT;
  }

  private static Point middle(Map<Landmark, Place> truth, Landmark one, Landmark other) {
    Place none = new Place(new Point(0, 0), Place.Seen.AWAY);
    return truth
        .getOrDefault(one, none)
        .point()
        .midpointTo(truth.getOrDefault(other, none).point());
  }

  /** One look at a head: what of it, how far off, how it is changed. */
  static final class Look {
    private final FaceNets.Kind kind;
    private final Head head;
    private final Random random;
    private final boolean isOther;
    private final boolean isFar;
    private final boolean isTurnedOver;

    /** Which of two eyes, two brows is looked at. */
    private final boolean isRight;

    /** How much wider the head is made, and how much longer above and below the eyes. */
    private final double wider;

    private final double longerAbove;
    private final double longerBelow;

    /** Where the frame lies off the true one. */
    private double aside;

    private double down;
    private double unit;
    private final double turned;
    private final Point middle;

    Look(FaceNets.Kind kind, Head head, Random random) {
      this.kind = kind;
      this.head = head;
      this.random = random;
      boolean isFace = kind == FaceNets.Kind.FACE;
      isOther = isFace && !head.others().isEmpty() && random.nextDouble() < 0.5;
      isFar = isFace && !isOther && random.nextDouble() < 0.15;
      isRight = kind.isOfOneSide() && random.nextBoolean();
      isTurnedOver = kind.isOfOneSide() ? isRight : random.nextBoolean();
      wider = Math.exp(normal(0.12));
      longerAbove = Math.exp(normal(0.12));
      longerBelow = Math.exp(normal(0.12));
      Course course = isOther ? Course.OTHERS : Course.of(kind);
      aside = normal(course.off());
      down = normal(course.off());
      unit = Math.exp(normal(course.scaled()));
      turned = normal(Math.toRadians(course.turnedDegrees()));
      if (isFar) {
        moveFar();
      }
      middle =
          switch (kind) {
            case FACE, HEAD, MOOD -> new Point(0, 0);
            case EYE -> ofSide(Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
            case BROW -> ofSide(Landmark.BROW_L_OUTER, Landmark.BROW_L_INNER);
            case MOUTH -> between(Landmark.MOUTH_L, Landmark.MOUTH_R);
            case NOSE -> stretched(Landmark.NOSE_BASE);
          };
    }

    private Point ofSide(Landmark one, Landmark other) {
      return isRight ? between(one.mirrored(), other.mirrored()) : between(one, other);
    }

    /** So far off that it is the face no more. */
    private void moveFar() {
      double which = random.nextDouble();
      if (which < 0.5) {
        double angle = 2 * Math.PI * random.nextDouble();
        double away = 0.5 + 0.6 * random.nextDouble();
        aside = away * Math.cos(angle);
        down = away * Math.sin(angle);
      } else {
        unit *= which < 0.75 ? 0.55 : 1.8;
      }
    }

    private double normal(double spread) {
      return spread * Math.max(-2.5, Math.min(2.5, random.nextGaussian()));
    }

    private Point between(Landmark one, Landmark other) {
      return stretched(one).midpointTo(stretched(other));
    }

    private Point stretched(Landmark landmark) {
      Point at = head.places().getOrDefault(landmark, new Point(0, 0));
      return new Point(wider * at.x(), (at.y() < 0 ? longerAbove : longerBelow) * at.y());
    }

    NetTeacher.Example example() {
      float[][] seen = seen();
      recolour(seen);
      redraw(seen[0]);
      boolean isIt = !isOther && !isFar;
      int landmarks = kind.landmarks().size();
      float[] places = new float[2 * landmarks];
      boolean[] isKnown = new boolean[landmarks];
      for (int i = 0; i < landmarks; i++) {
        Landmark asked = kind.landmarks().get(i);
        Landmark shown = isTurnedOver ? asked.mirrored() : asked;
        Point off = stretched(shown).minus(middle).minus(new Point(aside, down).times(wider));
        Point across = new Point(Math.cos(turned), Math.sin(turned));
        double u = off.dot(across) / (unit * wider);
        double v = off.dot(new Point(-across.y(), across.x())) / (unit * wider);
        places[2 * i] = (float) ((isTurnedOver ? -u : u) / kind.step());
        places[2 * i + 1] = (float) ((v - kind.square().below()) / kind.step());
        isKnown[i] = isIt && head.places().containsKey(shown);
      }
      return new NetTeacher.Example(FaceNets.evened(seen), which(), places, isKnown);
    }

    private int which() {
      return switch (kind) {
        case FACE -> isOther || isFar ? 0 : 1;
        case HEAD -> (isTurnedOver ? turnedOver(head.turn()) : head.turn()).ordinal();
        case MOOD -> head.mood().map(Enum::ordinal).orElse(NetTeacher.Example.UNSAID);
        default -> NetTeacher.Example.UNSAID;
      };
    }

    private static Turn turnedOver(Turn turn) {
      return switch (turn) {
        case LEFT -> Turn.RIGHT;
        case AHEAD -> Turn.AHEAD;
        case RIGHT -> Turn.LEFT;
      };
    }

    private float[][] seen() {
      HeadCrop crop =
          isOther ? head.others().get(random.nextInt(head.others().size())) : head.face();
      int side = kind.square().side();
      float[][] seen = new float[3][side * side];
      for (int i = 0; i < side * side; i++) {
        double u =
            (i % side + 0.5 - side / 2.0) / kind.square().perUnit() * (isTurnedOver ? -1 : 1);
        double v = (i / side + 0.5 - side / 2.0) / kind.square().perUnit() + kind.square().below();
        double across = Math.cos(turned) * u - Math.sin(turned) * v;
        double along = Math.sin(turned) * u + Math.cos(turned) * v;
        double x = middle.x() + wider * (unit * across + aside);
        double y = middle.y() + wider * (unit * along + down);
        for (int c = 0; c < seen.length; c++) {
          seen[c][i] = crop.at(c, x / wider, y / (y < 0 ? longerAbove : longerBelow));
        }
      }
      return seen;
    }

    /** Lighter or darker in the middle, another hue, stronger or none. */
    private void recolour(float[][] seen) {
      double gamma = Math.exp(normal(0.3));
      double hue = random.nextBoolean() ? normal(0.4) : 2 * Math.PI * random.nextDouble();
      double strength = random.nextDouble() < 0.2 ? 0 : 0.4 + random.nextDouble();
      double cos = strength * Math.cos(hue);
      double sin = strength * Math.sin(hue);
      for (int i = 0; i < seen[0].length; i++) {
        seen[0][i] = (float) Math.pow(Math.max(0, Math.min(1, seen[0][i])), gamma);
        double a = seen[1][i];
        double b = seen[2][i];
        seen[1][i] = (float) (a * cos - b * sin);
        seen[2][i] = (float) (a * sin + b * cos);
      }
    }

    /** Thicker lines, thinner ones, soft ones; grain. */
    private void redraw(float[] light) {
      double which = random.nextDouble();
      if (which < 0.3) {
        spread(light, which < 0.15);
      } else if (which < 0.55) {
        soften(light);
        if (which < 0.4) {
          soften(light);
        }
      }
      if (random.nextDouble() < 0.3) {
        double grain = 0.05 * random.nextDouble();
        for (int i = 0; i < light.length; i++) {
          light[i] += (float) normal(grain);
        }
      }
    }

    private void spread(float[] light, boolean isDark) {
      int side = kind.square().side();
      float[] before = light.clone();
      for (int i = 0; i < light.length; i++) {
        float left = before[i % side > 0 ? i - 1 : i];
        float above = before[i >= side ? i - side : i];
        light[i] =
            isDark
                ? Math.min(before[i], Math.min(left, above))
                : Math.max(before[i], Math.max(left, above));
      }
    }

    private void soften(float[] light) {
      int side = kind.square().side();
      float[] before = light.clone();
      for (int i = 0; i < light.length; i++) {
        double sum = 0;
        for (int k = 0; k < 9; k++) {
          int x = Math.max(0, Math.min(side - 1, i % side + k % 3 - 1));
          int y = Math.max(0, Math.min(side - 1, i / side + k / 3 - 1));
          sum += (k % 3 == 1 ? 2 : 1) * (k / 3 == 1 ? 2 : 1) * before[y * side + x];
        }
        light[i] = (float) (sum / 16);
      }
    }
  }
}
