package penmirror.core.planning;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Scale;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.reading.CutOut;

/**
 * A figure set into a work's picture, beside the figure that is drawn there. Lengths in pixels of
 * the work's picture, from its upper left corner, unless another picture is named.
 */
public record Companion(Host host, Guest guest, Stand stand) {
  /** What else tells two pictures apart that are laid into one, whatever the size. */
  private static final List<Measure> TONES =
      List.of(
          ColourMeasures.DARKEST,
          LineMeasures.DARKNESS,
          ShadeMeasures.LIGHTNESS_STEP,
          ShadeMeasures.EDGE,
          ColourMeasures.CHROMA);

  /** Of them no more are told than one keeps in mind. */
  private static final int MOST_TONES = 2;

  /** How both go together in one thing, and whether they look of one picture in it. */
  public sealed interface Remark {
    boolean fits();

    /**
     * @param heads the guest's head in heads of the host, as it is set in
     * @param nearer how far down from the host's ground it stands, in heads of the host
     */
    record Size(double heads, OptionalDouble nearer) implements Remark {
      /** Heads nearer to each other than this read as of one size; set by eye. */
      private static final double ALIKE = 0.06;

      public boolean isAlike() {
        return Math.abs(heads - 1) <= ALIKE;
      }

      @Override
      public boolean fits() {
        return isAlike()
            || nearer.stream().anyMatch(far -> !Ground.isLevel(far) && far > 0 == heads > 1);
      }
    }

    /**
     * @param nearer as of {@link Size}: who stands nearer is drawn farther down, and larger
     * @param heads as of {@link Size}
     */
    record Ground(double nearer, double heads) implements Remark {
      /** Less than this part of a head nobody sees one stand above the other. */
      private static final double LEVEL = 0.04;

      private static boolean isLevel(double nearer) {
        return Math.abs(nearer) <= LEVEL;
      }

      public boolean isLevel() {
        return isLevel(nearer);
      }

      @Override
      public boolean fits() {
        Size size = new Size(heads, OptionalDouble.of(nearer));
        return isLevel() || !size.isAlike() && size.fits();
      }
    }

    /**
     * @param own width of its line in pixels of its own canvas
     * @param wanted the width that looks as theirs does once it is set in
     */
    record Line(double own, double wanted) implements Remark {
      @Override
      public boolean fits() {
        return Math.abs(Math.log(own / wanted)) <= LineMeasures.WIDTH.spreadWithinStyle();
      }
    }

    /**
     * @param own where its light comes from as it is set in, degrees clockwise from above
     * @param theirs where theirs comes from
     */
    record Light(double own, double theirs) implements Remark {
      /** Lights farther apart than this are seen as two; common practice. */
      private static final double ONE_LIGHT_DEGREES = 45;

      @Override
      public boolean fits() {
        return isOne(own);
      }

      /** Whether they would be one light were the figure turned about. */
      public boolean fitsFlipped() {
        return isOne(-own);
      }

      private boolean isOne(double from) {
        return Math.abs(Scale.CIRCULAR.difference(from, theirs)) <= ONE_LIGHT_DEGREES;
      }
    }

    /** A reading that sets pictures apart which are laid into one, whatever the size. */
    record Tone(Measure measure, double own, double theirs) implements Remark {
      /** Beyond so many usual spreads within one style two pictures are told apart. */
      private static final double ALIKE_SPREADS = 1.5;

      @Override
      public boolean fits() {
        return Math.abs(spreads()) <= ALIKE_SPREADS;
      }

      /** How far its own lies above theirs, in usual spreads within one style. */
      public double spreads() {
        return measure.scale().difference(own, theirs) / measure.spreadWithinStyle();
      }
    }
  }

  /**
   * The work's picture with its figure.
   *
   * @param figureLeft where the figure on it begins
   * @param figureRight where it ends
   * @param room by which its paper goes on to the left and to the right, so that others can stand
   */
  public record Host(
      Evidence evidence,
      HeadFrame head,
      int widthPixels,
      int heightPixels,
      double figureLeft,
      double figureRight,
      Room room) {
    /** Between two who stand beside each other, in heads. */
    private static final double GAP = 0.2;

    /** Empty where no head is marked. */
    public static Optional<Host> of(
        Evidence evidence, int widthPixels, int heightPixels, Optional<CutOut.Place> cut) {
      return evidence
          .marks()
          .headFrame()
          .map(
              head ->
                  new Host(
                      evidence,
                      head,
                      widthPixels,
                      heightPixels,
                      cut.map(CutOut.Place::left).orElse(0),
                      cut.map(place -> place.left() + place.width()).orElse(widthPixels),
                      new Room(0, 0)));
    }

    private boolean isFreerAtTheRight() {
      return widthPixels - figureRight >= figureLeft;
    }

    /**
     * With room for figures whose heads are as high: the first where there is more of it already.
     */
    public Host withRoomFor(List<Guest> guests) {
      double left = 0;
      double right = 0;
      for (int i = 0; i < guests.size(); i++) {
        double wanted =
            guests.get(i).cut().width() * scaleAlike(guests.get(i)) + 2 * GAP * head.headPixels();
        if (isFreerAtTheRight() == (i % 2 == 0)) {
          right = Math.max(right, wanted - (widthPixels - figureRight));
        } else {
          left = Math.max(left, wanted - figureLeft);
        }
      }
      return new Host(
          evidence,
          head,
          widthPixels,
          heightPixels,
          figureLeft,
          figureRight,
          new Room(left, right));
    }

    /** With which a guest's head is as high as the head here. */
    public double scaleAlike(Guest guest) {
      return head.headPixels() / guest.head().headPixels();
    }
  }

  /** Beyond the edges of a picture. */
  public record Room(double left, double right) {}

  /**
   * The figure that is set in, cut out of its own picture, in pixels of that.
   *
   * @param standsAt the line it stands on: its sole, or where it is cut off
   */
  public record Guest(Evidence evidence, HeadFrame head, CutOut.Place cut, double standsAt) {

    /** Empty where no head is marked. */
    public static Optional<Guest> of(Evidence evidence, CutOut.Place cut) {
      Marks marks = evidence.marks();
      return marks
          .headFrame()
          .map(
              head ->
                  new Guest(
                      evidence,
                      head,
                      cut,
                      sole(marks, head).orElse((double) cut.top() + cut.height())));
    }
  }

  /**
   * Where the figure stands.
   *
   * @param x middle of the figure
   * @param ground the line it stands on
   * @param scale pixels of the work's picture to one of its own
   * @param mirrored whether left and right are changed
   * @param behind whether the figure of the work stands before it
   */
  public record Stand(double x, double ground, double scale, boolean mirrored, boolean behind) {
    /** As high as this part of the picture at the least, and as this many times it at the most. */
    private static final double LEAST = 0.02;

    private static final double MOST = 8;

    /** Held where it can still be seen and taken hold of. */
    public Stand held(Host host, Guest guest) {
      double least = LEAST * host.heightPixels() / guest.cut().height();
      double most = MOST * host.heightPixels() / guest.cut().height();
      double size = Math.max(least, Math.min(most, scale));
      double half = guest.cut().width() * size / 2;
      double height = guest.cut().height() * size;
      double seen = Math.min(half, host.widthPixels() / 10.0);
      double tall = Math.min(height, host.heightPixels() / 10.0);
      double below = (guest.standsAt() - guest.cut().top()) * size;
      return new Stand(
          Math.max(
              seen - half - host.room().left(),
              Math.min(host.widthPixels() + host.room().right() + half - seen, x)),
          Math.max(below - height + tall, Math.min(host.heightPixels() + below - tall, ground)),
          size,
          mirrored,
          behind);
    }
  }

  /**
   * A place to begin with: of one head, on one ground line; the first where the picture has most
   * room, the second on the other side.
   */
  public static Companion begun(Host host, Guest guest, boolean isFirst) {
    double scale = host.scaleAlike(guest);
    OptionalDouble sole = sole(host.evidence().marks(), host.head());
    boolean bothStand =
        sole.isPresent() && sole(guest.evidence().marks(), guest.head()).isPresent();
    double ground =
        bothStand
            ? sole.getAsDouble()
            : host.head().crown().y() + (guest.standsAt() - guest.head().crown().y()) * scale;
    double x =
        host.isFreerAtTheRight() == isFirst
            ? (host.figureRight() + host.widthPixels() + host.room().right()) / 2
            : (host.figureLeft() - host.room().left()) / 2;
    return new Companion(host, guest, new Stand(x, ground, scale, false, false)).heldInside();
  }

  private Companion heldInside() {
    return new Companion(host, guest, stand.held(host, guest));
  }

  public static Companion at(Host host, Guest guest, Stand stand) {
    return new Companion(host, guest, stand).heldInside();
  }

  /** Where the cut-out lies, before it is mirrored about its middle. */
  public LineUp.Place place() {
    double scale = stand.scale();
    return new LineUp.Place(
        stand.x() - guest.cut().width() * scale / 2,
        stand.ground() - (guest.standsAt() - guest.cut().top()) * scale,
        guest.cut().width() * scale,
        guest.cut().height() * scale);
  }

  /** What sets both apart first, then what fits. */
  public List<Remark> remarks() {
    List<Remark> remarks = new ArrayList<>();
    double size = guest.head().headPixels() * stand.scale() / host.head().headPixels();
    OptionalDouble nearer = nearer();
    remarks.add(new Remark.Size(size, nearer));
    nearer.ifPresent(heads -> remarks.add(new Remark.Ground(heads, size)));
    line().ifPresent(remarks::add);
    light().ifPresent(remarks::add);
    remarks.addAll(tones());
    remarks.sort(Comparator.comparing(Remark::fits));
    return remarks;
  }

  /** How far down from the host's ground it stands, in heads; empty where one shows no sole. */
  private OptionalDouble nearer() {
    OptionalDouble sole = sole(host.evidence().marks(), host.head());
    return sole.isEmpty() || sole(guest.evidence().marks(), guest.head()).isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of((stand.ground() - sole.getAsDouble()) / host.head().headPixels());
  }

  private Optional<Remark> line() {
    OptionalDouble theirs = lineWidth(host.evidence());
    OptionalDouble own = lineWidth(guest.evidence());
    return theirs.isEmpty() || own.isEmpty()
        ? Optional.empty()
        : Optional.of(new Remark.Line(own.getAsDouble(), theirs.getAsDouble() / stand.scale()));
  }

  private Optional<Remark> light() {
    OptionalDouble theirs = ShadeMeasures.LIGHT_FROM.value(host.evidence());
    OptionalDouble own = ShadeMeasures.LIGHT_FROM.value(guest.evidence());
    return theirs.isEmpty() || own.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Remark.Light(
                (360 + (stand.mirrored() ? -1 : 1) * own.getAsDouble()) % 360,
                theirs.getAsDouble()));
  }

  private List<Remark> tones() {
    return TONES.stream()
        .flatMap(
            measure -> {
              OptionalDouble theirs = measure.value(host.evidence());
              OptionalDouble own = measure.value(guest.evidence());
              return theirs.isEmpty() || own.isEmpty()
                  ? Stream.empty()
                  : Stream.of(new Remark.Tone(measure, own.getAsDouble(), theirs.getAsDouble()));
            })
        .sorted(Comparator.comparingDouble(tone -> -Math.abs(tone.spreads())))
        .limit(MOST_TONES)
        .map(Remark.class::cast)
        .toList();
  }

  private static OptionalDouble lineWidth(Evidence evidence) {
    return evidence.pixels().map(LineMeasures::widthPixels).orElse(OptionalDouble.empty());
  }

  private static OptionalDouble sole(Marks marks, HeadFrame head) {
    return marks
        .point(Landmark.SOLE)
        .filter(sole -> sole.y() > head.crown().y())
        .map(sole -> OptionalDouble.of(sole.y()))
        .orElse(OptionalDouble.empty());
  }
}
