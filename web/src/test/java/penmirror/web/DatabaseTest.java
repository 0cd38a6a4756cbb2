package penmirror.web;

import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.PIXEL_READING;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.util.List;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import penmirror.demoart.DemoStudio;
import penmirror.demoart.DrawnWork;
import penmirror.web.studies.StudyStore;

/**
 * A test on the whole application with its own PostgreSQL, which {@code ./pen-mirror test} starts.
 * Begins with an empty library.
 */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@AutoConfigureMockMvc
abstract class DatabaseTest {
  static final List<DrawnWork> DEMO = DemoStudio.works();

  @Autowired DSLContext database;

  /** A spy in every test, so that all share one application. */
  @MockitoSpyBean StudyStore studies;

  @BeforeEach
  void emptyTheLibrary() {
    database.deleteFrom(STUDY).execute();
    database.deleteFrom(PIXEL_READING).execute();
    database.deleteFrom(PICTURE).execute();
  }

  static DrawnWork source(int number) {
    return DEMO.stream().filter(w -> w.role() == DrawnWork.Role.SOURCE).toList().get(number - 1);
  }

  static DrawnWork redraw(int number) {
    return DEMO.stream().filter(w -> w.role() == DrawnWork.Role.REDRAW).toList().get(number - 1);
  }
}
