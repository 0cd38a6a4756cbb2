package penmirror.web.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.drawing.Item;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.planning.CarriedFigure;
import penmirror.core.planning.Ghost;
import penmirror.core.planning.GuidePlan;
import penmirror.core.raster.Picture;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Habit;
import penmirror.core.scoring.Score;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.FixWords;
import penmirror.core.telling.HabitWords;
import penmirror.core.words.Wording;
import penmirror.web.drill.Guessing;
import penmirror.web.evidence.CutOuts;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.opening.PictureOpener;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The character as it is and as it will be, and its drawing warped to draw over. */
@Component
class Figuring {
  /** Of the figure's height. */
  private static final double AIR = 0.12;

  /** About four megabytes each. */
  private static final int GHOSTS_KEPT = 6;

  /** Of what must be kept. */
  private static final int LONGEST_WORDS = 120;

  private final SheetMaker sheets;
  private final PlanStore store;
  private final Guessing guessing;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final CutOuts cutOuts;
  private final Cache<Way, Ghost> ghosts = Caffeine.newBuilder().maximumSize(GHOSTS_KEPT).build();

  Figuring(
      SheetMaker sheets,
      PlanStore store,
      PictureStore pictures,
      PictureOpener opener,
      CutOuts cutOuts,
      Guessing guessing) {
    this.cutOuts = cutOuts;
    this.guessing = guessing;
    this.sheets = sheets;
    this.store = store;
    this.pictures = pictures;
    this.opener = opener;
  }

  /** All that a ghost depends on. */
  private record Way(Marks own, Marks targets, int widthPixels, int heightPixels) {}

  /**
   * One thing to change.
   *
   * @param act key of the act
   * @param words such as "Lower both eyes 26 px", in pixels of the character's own drawing
   * @param on whether it is done, rather than left as the character has it
   * @param watch what the hand or the eye does off there again and again; empty for nothing
   * @param missed whether it cannot be brought there with all the others
   */
  record MoveRow(
      String act,
      String name,
      String words,
      String why,
      String watch,
      boolean on,
      boolean missed) {}

  /** A work to carry the character toward. */
  record Anchor(long id, String title, boolean isChosen) {}

  /**
   * @param character the drawing that is carried over; empty where the study has none with marks
   * @param near names of acts that need nothing
   * @param box of the picture round the figure as it is and as it will be, as an SVG viewBox
   * @param headsNow how tall it is in heads, and will be; empty where the figure is not whole
   */
  record Page(
      Optional<Work> character,
      boolean isMarked,
      List<MoveRow> moves,
      List<String> near,
      int keepPercent,
      List<Anchor> anchors,
      List<String> mustKeeps,
      String headsNow,
      String headsThen,
      String box,
      String version) {}

  Page page(Study study) {
    Loaded loaded = sheets.load(study);
    Optional<Work> character = character(loaded);
    int keep = store.settings(study.id()).keepFigurePercent();
    List<String> mustKeeps = store.mustKeeps(study.id());
    if (character.isEmpty() || !isMarked(loaded, character.get())) {
      return new Page(
          character, false, List.of(), List.of(), keep, List.of(), mustKeeps, "", "", "", "");
    }
    Set<String> left = store.left(study.id());
    CarriedFigure figure = carried(study, loaded, character.get());
    Score score = loaded.score(character.get());
    Map<String, String> watch = watch(study, loaded);
    List<MoveRow> moves = new ArrayList<>();
    List<Act> told = new ArrayList<>();
    for (Fix fix : score.fixes()) {
      if (fix.act().readings().stream().anyMatch(figure.aims()::containsKey)) {
        moves.add(row(fix, left, figure, watch.getOrDefault(fix.act().key(), "")));
        told.add(fix.act());
      }
    }
    List<String> near =
        figure.aims().keySet().stream()
            .flatMap(measure -> Acts.of(measure).stream())
            .distinct()
            .filter(act -> !told.contains(act))
            .map(ActWords::name)
            .sorted()
            .toList();
    return new Page(
        character,
        true,
        moves,
        near,
        keep,
        anchors(study, loaded),
        mustKeeps,
        heads(figure.own()),
        heads(figure.targets()),
        box(figure, character.get()),
        Integer.toHexString(figure.targets().hashCode()));
  }

  private List<Anchor> anchors(Study study, Loaded loaded) {
    Optional<Long> chosen = store.settings(study.id()).anchorWork();
    return loaded.ruling().stream()
        .map(work -> new Anchor(work.id(), work.title(), chosen.equals(Optional.of(work.id()))))
        .toList();
  }

  /** By act: what the newest attempts do, else what is judged so by eye. */
  private Map<String, String> watch(Study study, Loaded loaded) {
    Map<String, String> watch = new HashMap<>();
    for (Habit habit : guessing.habits(study)) {
      watch.putIfAbsent(habit.act().key(), HabitWords.guessed(habit));
    }
    for (Habit habit : loaded.habits()) {
      watch.put(habit.act().key(), HabitWords.drawn(habit));
    }
    return watch;
  }

  private static MoveRow row(Fix fix, Set<String> left, CarriedFigure figure, String watch) {
    return new MoveRow(
        fix.act().key(),
        ActWords.name(fix.act()),
        FixWords.instruction(fix),
        FixWords.why(fix),
        watch,
        !left.contains(fix.act().key()),
        fix.act().readings().stream().anyMatch(figure.missed()::contains));
  }

  private static String heads(Marks marks) {
    return StatureConvention.STRAIGHT_FROM_CROWN.measure().valueOf(marks).stream()
        .mapToObj(heads -> Wording.number(heads, 2))
        .findFirst()
        .orElse("");
  }

  /** Round both, with air for hair, hats and hands. */
  private static String box(CarriedFigure figure, Work work) {
    double left = work.widthPixels();
    double top = work.heightPixels();
    double right = 0;
    double base = 0;
    for (Marks marks : List.of(figure.own(), figure.targets())) {
      for (Landmark landmark : marks.landmarks().keySet()) {
        if (marks.point(landmark).isPresent()) {
          Point at = marks.require(landmark);
          left = Math.min(left, at.x());
          top = Math.min(top, at.y());
          right = Math.max(right, at.x());
          base = Math.max(base, at.y());
        }
      }
    }
    double air = AIR * (base - top);
    left = Math.max(0, left - air);
    top = Math.max(0, top - air);
    right = Math.min(work.widthPixels(), right + air);
    base = Math.min(work.heightPixels(), base + air / 2);
    return String.format(Locale.ROOT, "%.0f %.0f %.0f %.0f", left, top, right - left, base - top);
  }

  private static Optional<Work> character(Loaded loaded) {
    return loaded.character(work -> isMarked(loaded, work));
  }

  /** Whether there is a head to carry over. */
  private static boolean isMarked(Loaded loaded, Work work) {
    return marks(loaded, work).headFrame().isPresent();
  }

  private static Marks marks(Loaded loaded, Work work) {
    return loaded.evidence(work).marks().confirmed();
  }

  private CarriedFigure carried(Study study, Loaded loaded, Work character) {
    StyleSheet sheet = loaded.planned();
    double keep = store.settings(study.id()).keepFigurePercent() / 100.0;
    Set<String> left = store.left(study.id());
    return CarriedFigure.of(
        sheet,
        marks(loaded, character),
        measure -> isLeft(measure, left) ? 1 : keep,
        store
            .settings(study.id())
            .anchorWork()
            .flatMap(
                id ->
                    sheet.works().stream()
                        .filter(work -> work.id().equals(Long.toString(id)))
                        .findFirst()));
  }

  private static boolean isLeft(Measure measure, Set<String> left) {
    return Acts.of(measure).filter(act -> left.contains(act.key())).isPresent();
  }

  /** Whether one act is changed, or left as the character has it. */
  @Transactional
  public void change(Study study, String act, boolean on) {
    if (Acts.byKey(act).isEmpty()) {
      throw new RefusedException("fault.form.word", Texts.cut(act, 40));
    }
    if (on) {
      store.take(study.id(), act);
    } else {
      store.leave(study.id(), act);
    }
  }

  /**
   * Toward one work, or the middle of all where none is named.
   *
   * @throws RefusedException for a work that makes no rules here
   */
  @Transactional
  public void toward(Study study, Optional<Long> work) {
    boolean isKnown =
        work.isEmpty()
            || sheets.load(study).ruling().stream().anyMatch(of -> of.id() == work.get());
    if (!isKnown) {
      throw new RefusedException("fault.form.word", String.valueOf(work.get()));
    }
    store.toward(study.id(), work);
  }

  @Transactional
  public void mustKeep(Study study, String words) {
    String plain = Texts.cut(words.strip(), LONGEST_WORDS);
    if (plain.isEmpty()) {
      throw new RefusedException("plan.must-keep.empty");
    }
    store.mustKeep(study.id(), plain);
  }

  @Transactional
  public void needNotKeep(Study study, String words) {
    store.needNotKeep(study.id(), words);
  }

  /** What lies outside the slider is held at its nearer end. */
  @Transactional
  public void keep(Study study, int percent) {
    store.keepFigure(study.id(), Math.max(-40, Math.min(100, percent)));
  }

  /**
   * The warped drawing so many pixels high.
   *
   * @throws RefusedException where there is no drawing to warp
   */
  byte[] ghost(Study study, int heightPixels) {
    BufferedImage ghost =
        drawn(
            study,
            (figure, picture, work) ->
                warped(figure, work).drawn(picture, work.heightPixels(), heightPixels));
    return PngWriter.write(ghost, Optional.empty());
  }

  boolean hasGhost(Study study) {
    Loaded loaded = sheets.load(study);
    return marked(loaded).isPresent();
  }

  private static Optional<Work> marked(Loaded loaded) {
    return character(loaded).filter(of -> isMarked(loaded, of));
  }

  /** The way a drawing goes is longest to find, and the same for each size it is asked in. */
  private Ghost warped(CarriedFigure figure, Work work) {
    Way way = new Way(figure.own(), figure.targets(), work.widthPixels(), work.heightPixels());
    return Objects.requireNonNull(
        ghosts.get(way, of -> Ghost.of(figure, of.widthPixels(), of.heightPixels())));
  }

  /** Without its paper, as large as the canvas, crown and middle where the guide has them. */
  byte[] ghostOnCanvas(Study study) {
    return ghostOnCanvas(study, study.canvas().heightPixels());
  }

  /** The same on a smaller copy of the canvas, so many pixels high. */
  byte[] ghostOnCanvas(Study study, int heightPixels) {
    Part part = part(study, heightPixels);
    BufferedImage canvas =
        new BufferedImage(width(study, heightPixels), heightPixels, BufferedImage.TYPE_INT_ARGB);
    Graphics2D pen = canvas.createGraphics();
    pen.drawImage(part.image(), part.left(), part.top(), null);
    pen.dispose();
    return PngWriter.write(canvas, Optional.empty());
  }

  /** The same as something to draw on the canvas. */
  Item.Shown ghostToShow(Study study) {
    Part part = part(study, study.canvas().heightPixels());
    return new Item.Shown(
        PngWriter.write(part.image(), Optional.empty()),
        "image/png",
        part.left(),
        part.top(),
        part.image().getWidth(),
        part.image().getHeight());
  }

  /**
   * The part of a canvas that the ghost covers.
   *
   * @param left pixels of the canvas to the left of it, and top above it
   */
  private record Part(BufferedImage image, int left, int top) {}

  private static int width(Study study, int heightPixels) {
    double small = heightPixels / (double) study.canvas().heightPixels();
    return (int) Math.max(1, Math.round(small * study.canvas().widthPixels()));
  }

  private Part part(Study study, int heightPixels) {
    double small = heightPixels / (double) study.canvas().heightPixels();
    GuidePlan plan = GuidePlan.of(sheets.plannedOf(study), study.canvas());
    // Asked before the picture is opened: a cut-out opens it too.
    Optional<CutOuts.Cut> cut = marked(sheets.load(study)).flatMap(cutOuts::of);
    return drawn(
        study,
        (figure, picture, work) -> {
          HeadFrame head = figure.targets().headFrame().orElseThrow();
          double scale = small * plan.headPixels() / head.headPixels();
          Picture copy = picture.shrunk((int) Math.max(1, Math.floor(1 / scale)));
          Ghost.Placed placed =
              new Ghost.Placed(
                  scale,
                  small * plan.canvas().widthPixels() / 2.0 - scale * head.crown().x(),
                  small * plan.crownPixels() - scale * head.crown().y());
          Ghost ghost = warped(figure, work);
          Rectangle canvas = new Rectangle(width(study, heightPixels), heightPixels);
          Rectangle covered = ghost.bounds(placed).intersection(canvas);
          if (covered.isEmpty()) {
            covered = new Rectangle(1, 1);
          }
          Ghost.Placed there =
              new Ghost.Placed(
                  scale, placed.rightPixels() - covered.x, placed.downPixels() - covered.y);
          return new Part(
              ghost.drawn(
                  cut.map(of -> of.opened().cut(copy.toImage(), work.widthPixels()))
                      .orElseGet(copy::toImage),
                  work.widthPixels(),
                  there,
                  covered.width,
                  covered.height),
              covered.x,
              covered.y);
        });
  }

  @FunctionalInterface
  private interface Drawn<T> {
    T of(CarriedFigure figure, Picture picture, Work work);
  }

  private <T> T drawn(Study study, Drawn<T> how) {
    Loaded loaded = sheets.load(study);
    Work work = marked(loaded).orElseThrow(() -> new RefusedException("plan.ghost.none"));
    CarriedFigure figure = carried(study, loaded, work);
    try {
      return opener.open(
          pictures.file(work.pictureSha256()).bytes(),
          opened -> how.of(figure, opened.picture(), work));
    } catch (UnusablePictureException e) {
      throw new RefusedException("plan.ghost.unusable", String.valueOf(e.getMessage()));
    }
  }

  static String name(Study study) {
    return String.format(Locale.ROOT, "ghost-%d.png", study.id());
  }
}
