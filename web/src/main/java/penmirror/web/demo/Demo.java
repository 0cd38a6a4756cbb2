package penmirror.web.demo;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.MessageSource;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import penmirror.core.act.Acts;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.demoart.figure.Subject;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.scan.ScanFile;
import penmirror.demoart.scan.Settings;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.demoart.studio.Hands;
import penmirror.demoart.studio.Illustration;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.TickStore;
import penmirror.web.gather.Intake;
import penmirror.web.sheets.SignatureStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;
import penmirror.web.tray.StandInScanner;
import penmirror.web.tray.Tray;

/**
 * The demo studio in the library, once: three studies at different stages and the cartoonist's own
 * hand. Drawn as the application starts with it, or when somebody opens it.
 */
@Component
public class Demo {
  private static final Logger LOG = LoggerFactory.getLogger(Demo.class);

  /** How many pictures are told of at once. */
  private static final int PROGRESS_STEP = 5;

  private static final Map<String, List<String>> SIGNATURES =
      Map.of(
          "odile", List.of("heads-tall", "eye-height", "outline", "shadow-edge"),
          "casimir", List.of("values", "colour-count", "eye-shape", "face-shape"),
          "ines", List.of("line-colour", "shadow-colour", "iris", "darkest"));

  private final StudyStore studies;
  private final WorkStore works;
  private final Intake intake;
  private final Keeping keeping;
  private final ScopeStore scopes;
  private final SignatureStore signatures;
  private final TickStore ticks;
  private final Tray tray;
  private final StandInScanner scanner;
  private final MessageSource messages;
  private final boolean atOnce;

  private final AtomicReference<Progress> progress = new AtomicReference<>(Progress.NONE);

  Demo(
      StudyStore studies,
      WorkStore works,
      Intake intake,
      Keeping keeping,
      ScopeStore scopes,
      SignatureStore signatures,
      TickStore ticks,
      Tray tray,
      StandInScanner scanner,
      MessageSource messages,
      @Value("${pen-mirror.demo}") boolean atOnce) {
    this.atOnce = atOnce;
    this.studies = studies;
    this.works = works;
    this.intake = intake;
    this.keeping = keeping;
    this.scopes = scopes;
    this.signatures = signatures;
    this.ticks = ticks;
    this.tray = tray;
    this.scanner = scanner;
    this.messages = messages;
  }

  /** A picture that goes into a study. */
  private record Order(
      long studyId, Commission commission, Work.Role role, String credit, boolean marked) {}

  /** How far the demo is drawn. */
  public record Progress(int pictures, int of) {
    private static final Progress NONE = new Progress(0, 0);
  }

  /** How far it is; empty while nothing of it is being drawn. */
  public Optional<Progress> progress() {
    return Optional.ofNullable(progress.get()).filter(now -> !now.equals(Progress.NONE));
  }

  @EventListener(ApplicationStartedEvent.class)
  void begin() {
    if (atOnce) {
      load();
    }
  }

  /** Has it drawn in the background, if it is not there yet; the studies stand at once. */
  public void open() {
    if (progress.compareAndSet(Progress.NONE, new Progress(0, 1))) {
      Thread drawing = new Thread(this::load, "demo");
      drawing.setDaemon(true);
      drawing.start();
    }
  }

  private void load() {
    try {
      draw();
    } finally {
      progress.set(Progress.NONE);
    }
  }

  /** What was cut off goes on where it ended: what is there already is left alone. */
  private void draw() {
    List<Order> orders = orders();
    Order last = orders.get(orders.size() - 1);
    boolean isComplete =
        works.inRole(last.studyId(), last.role()).stream()
            .anyMatch(work -> work.title().equals(last.commission().title()));
    if (!isComplete) {
      take(orders);
      fillTheTray();
      LOG.info("The demo studio is ready.");
    }
  }

  private List<Order> orders() {
    List<Order> orders = new ArrayList<>();
    long own = begin("own", "");
    scopes.setScope(
        own, new ScopeStore.Scope(StudyKind.OWN_HAND, Optional.empty(), Optional.empty()));
    DemoStudio.ownHand()
        .forEach(
            drawing -> orders.add(new Order(own, drawing, Work.Role.SOURCE, ownDrawing(), true)));
    study(orders, "odile", DemoStudio.odileMarrow(), 12, 4, 4);
    study(orders, "casimir", DemoStudio.casimirThole(), 7, 0, 0);
    study(orders, "ines", DemoStudio.inesVantour(), 12, 2, 1);
    return orders;
  }

  /**
   * @param marked how many sources have their landmarks
   * @param attempts how many redraws there are, and how many of them have theirs
   */
  private void study(
      List<Order> orders,
      String key,
      DemoStudio.Folder folder,
      int marked,
      int attempts,
      int markedAttempts) {
    String credit = text("demo.credit", folder.illustrator(), folder.serial());
    long study = begin(key, credit);
    sign(study, key);
    for (int i = 0; i < folder.sources().size(); i++) {
      orders.add(new Order(study, folder.sources().get(i), Work.Role.SOURCE, credit, i < marked));
    }
    for (Commission character : DemoStudio.character()) {
      orders.add(new Order(study, character, Work.Role.CHARACTER, ownDrawing(), true));
    }
    for (int i = 0; i < attempts; i++) {
      orders.add(
          new Order(
              study, folder.redraws().get(i), Work.Role.REDRAW, ownDrawing(), i < markedAttempts));
    }
  }

  /** What the demo's user has said makes or breaks each style, with one word for it. */
  private void sign(long study, String key) {
    if (signatures.of(study).traits().isEmpty()) {
      List<SignatureStore.Trait> traits =
          SIGNATURES.getOrDefault(key, List.of()).stream()
              .flatMap(act -> Acts.byKey(act).stream())
              .map(act -> new SignatureStore.Trait(act, ""))
              .toList();
      signatures.keep(study, new SignatureStore.Kept(traits, text("demo." + key + ".headline")));
    }
  }

  private long begin(String key, String credit) {
    String name = text("demo." + key + ".name");
    return studies.all().stream()
        .filter(study -> study.name().equals(name))
        .findFirst()
        .map(Study::id)
        .orElseGet(
            () ->
                studies.begin(
                    name,
                    text("demo." + key + ".illustrator"),
                    text("demo." + key + ".reason"),
                    credit));
  }

  /** Draws on every core, a few pictures ahead of the one that is taken in. */
  private void take(List<Order> orders) {
    int cores = Runtime.getRuntime().availableProcessors();
    ExecutorService boards = Executors.newFixedThreadPool(cores);
    try {
      Deque<Future<DrawnWork>> drawn = new ArrayDeque<>();
      int next = 0;
      for (int i = 0; i < orders.size(); i++) {
        while (next < orders.size() && drawn.size() < 2 * cores) {
          Commission commission = orders.get(next++).commission();
          drawn.add(boards.submit(() -> DrawnWork.of(commission)));
        }
        if (i % PROGRESS_STEP == 0) {
          LOG.info("Drawing the demo studio, picture {} of {}.", i + 1, orders.size());
        }
        progress.set(new Progress(i, orders.size()));
        take(orders.get(i), drawn.remove().get());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("Drawing the demo studio was interrupted.", e);
    } catch (ExecutionException e) {
      throw new IllegalStateException("A demo picture could not be drawn.", e.getCause());
    } finally {
      boards.shutdownNow();
    }
  }

  private void take(Order order, DrawnWork drawn) {
    Intake.Outcome outcome =
        intake.take(
            new Intake.Into(order.studyId(), order.role(), order.credit(), drawn.truth().view()),
            drawn.png(),
            drawn.title(),
            placed -> {
              if (placed.isNew()) {
                said(order, placed.work(), drawn);
              }
            });
    if (outcome instanceof Intake.Refused) {
      throw new IllegalStateException("Demo picture " + drawn.fileName() + ": " + outcome);
    }
  }

  /** What is not marked was not described either: there the machine looks first. */
  private void said(Order order, Work work, DrawnWork drawn) {
    scopes.setTraits(work.id(), traits(order.commission().subject()));
    if (!order.marked()) {
      return;
    }
    works.describe(work.id(), work.title(), work.credit(), work.view());
    works.tag(work.id(), tags(order.commission(), drawn));
    if (order.commission().cut() == Cut.FULL
        && order.commission().subject().prop() != Subject.Prop.NONE) {
      works.sayParts(work.id(), Map.of(Part.PROP.word(), true));
    }
    if (order.role() == Work.Role.SOURCE) {
      ticked(order.commission())
          .forEach((key, holds) -> ticks.answer(work.id(), key, holds ? "yes" : "no"));
    }
    keeping.marks(work, 0, drawn.truth(), "");
  }

  /** What somebody who looks at the picture would tick of it: a few statements, as it is drawn. */
  private static Map<String, Boolean> ticked(Commission commission) {
    Habits habits = commission.manner().habits();
    Map<String, Boolean> ticked = new LinkedHashMap<>();
    ticked.put("face-blush-cheeks", habits.blush());
    if (commission.view() != View.SIDE) {
      ticked.put(
          "nose-bridge", habits.nose() == Habits.Nose.WEDGE || habits.nose() == Habits.Nose.BLADE);
    }
    if (commission.cut() == Cut.FULL) {
      ticked.put("hands-nails", false);
    }
    ticked.put("background-plain", true);
    return ticked;
  }

  /** Two attempts wait as scans, so that the tray has something to show. */
  private void fillTheTray() {
    if (!tray.pages().isEmpty()) {
      return;
    }
    List<Commission> attempts = DemoStudio.casimirThole().redraws();
    scan(attempts.get(2), Settings.usual(Settings.Medium.INK, 300, 11), ScanFile.Format.PNG);
    scan(attempts.get(0), Settings.usual(Settings.Medium.PENCIL, 300, 12), ScanFile.Format.TIFF);
  }

  private void scan(Commission attempt, Settings settings, ScanFile.Format format) {
    scanner.scan(Illustration.of(attempt).image(), settings, format, "page");
  }

  private static Map<Trait, String> traits(Subject subject) {
    Map<Trait, String> traits = new EnumMap<>(Trait.class);
    traits.put(Trait.HAIR_FALL, subject.hair().name().toLowerCase(Locale.ROOT));
    if (subject.moustache()) {
      traits.put(Trait.BEARD, "moustache");
    }
    return traits;
  }

  private Work.Tags tags(Commission commission, DrawnWork drawn) {
    Turn turn =
        commission.view() == View.FRONT || commission.view() == View.BACK
            ? Turn.AHEAD
            : commission.mirrored() ? Turn.LEFT : Turn.RIGHT;
    Framing framing =
        switch (commission.cut()) {
          case FULL -> Framing.FULL;
          case BUST -> Framing.BUST;
          case FACE -> Framing.FACE;
        };
    // As someone would say it who looks: to the nearest eighth of a turn.
    int light = (int) Math.round(drawn.lightDegrees() / 45) * 45;
    String manner =
        commission.manner().equals(Hands.INES_INKED)
            ? text("demo.manner.line")
            : commission.manner().equals(Hands.INES) ? text("demo.manner.painted") : "";
    return new Work.Tags(
        Optional.of(framing),
        Optional.of(turn),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        "",
        manner,
        "",
        1,
        "",
        OptionalInt.of(Math.floorMod(light, 360)));
  }

  private String ownDrawing() {
    return text("demo.own-drawing");
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
