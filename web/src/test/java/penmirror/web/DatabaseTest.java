package penmirror.web;

import static org.awaitility.Awaitility.await;
import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.PIXEL_READING;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.FileSystemUtils;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;

/** A test on the whole application with a PostgreSQL of its own. Begins with an empty library. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@AutoConfigureMockMvc
public abstract class DatabaseTest {
  /** Demo pictures are drawn smaller here: enough for every line to be read, and quicker. */
  private static final double SCALE = 0.7;

  private static final Map<String, DrawnWork> DRAWN = new ConcurrentHashMap<>();

  /** A tray of the tests' own. */
  static final Path TRAY = newFolder();

  @DynamicPropertySource
  static void own(DynamicPropertyRegistry properties) {
    TestDatabase.register(properties);
    properties.add("pen-mirror.tray", TRAY::toString);
  }

  @Autowired protected DSLContext database;

  /** A spy in every test, so that all share one application. */
  @MockitoSpyBean protected StudyStore studies;

  @Autowired private Intake takingIn;
  @Autowired private MarkingStore marking;
  @Autowired private TransactionTemplate atOnce;

  /** Hangs a drawing, marked as it was drawn; tells the work's number. */
  protected long hang(long study, Work.Role role, DrawnWork drawn, String title) {
    return hang(study, role, drawn, title, drawn.truth());
  }

  /**
   * Hangs a drawing, marked as given; tells the work's number. Both at once, so that the picture is
   * read as it is marked, and nobody looks at it to find out what is known.
   */
  protected long hang(long study, Work.Role role, DrawnWork drawn, String title, Marks marks) {
    return Objects.requireNonNull(
        atOnce.execute(
            status -> {
              Intake.Taken taken =
                  (Intake.Taken) takingIn.take(study, drawn.png(), role, title, "", View.FRONT);
              marking.save(taken.workId(), 0, marks);
              return taken.workId();
            }));
  }

  /** Waits until nothing is left to be read in the background. */
  protected void awaitReadings() {
    await()
        .atMost(Duration.ofSeconds(90))
        .until(() -> database.fetchCount(DSL.table("scheduled_tasks")) == 0);
  }

  /**
   * The page of the test before may still be keeping its marks: it holds a work and wants its
   * study, as the emptying holds the study and wants its works. Whoever loses begins again.
   */
  @BeforeEach
  void emptyTheLibrary() {
    await()
        .ignoreExceptionsInstanceOf(PessimisticLockingFailureException.class)
        .until(
            () -> {
              database.deleteFrom(STUDY).execute();
              database.deleteFrom(PIXEL_READING).execute();
              database.deleteFrom(PICTURE).execute();
              return true;
            });
  }

  @BeforeEach
  void emptyTheTray() throws IOException {
    FileSystemUtils.deleteRecursively(TRAY);
    Files.createDirectories(TRAY);
  }

  private static Path newFolder() {
    try {
      return Files.createTempDirectory("pen-mirror-tray");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A full figure from the front by the first illustrator. */
  protected static DrawnWork source(int number) {
    return drawn(
        DemoStudio.odileMarrow().sources().stream()
            .filter(work -> work.cut() == Cut.FULL && work.view() == View.FRONT)
            .toList()
            .get(number - 1));
  }

  static DrawnWork redraw(int number) {
    return drawn(DemoStudio.odileMarrow().redraws().get(number - 1));
  }

  private static DrawnWork drawn(Commission commission) {
    return DRAWN.computeIfAbsent(commission.fileName(), name -> DrawnWork.of(commission, SCALE));
  }
}
