package penmirror.web.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.ui.ConcurrentModel;
import org.springframework.ui.Model;
import penmirror.web.demo.Demo;

/** The first page while the demo is drawn, and the way to have it drawn. */
class LibraryControllerTest {
  private final LineUp lineUp = mock(LineUp.class);
  private final Demo demo = mock(Demo.class);
  private final LibraryController controller = new LibraryController(lineUp, demo);

  @BeforeEach
  void anEmptyLibrary() {
    when(lineUp.page()).thenReturn(new LineUp.Page(List.of(), -1, 284, false));
  }

  @Test
  void aPageOpenedWhileTheDemoIsDrawnSaysHowFarItIs() {
    when(demo.progress()).thenReturn(Optional.of(new Demo.Progress(3, 58)));
    Model model = new ConcurrentModel();
    assertThat(controller.library(model)).isEqualTo("library/page");
    assertThat(model.getAttribute("drawing")).isEqualTo(new Demo.Progress(3, 58));
  }

  @Test
  void otherwiseItSaysNothing() {
    when(demo.progress()).thenReturn(Optional.empty());
    Model model = new ConcurrentModel();
    controller.library(model);
    assertThat(model.getAttribute("drawing")).isNull();
  }

  @Test
  void theDemoIsOpenedFromThePage() {
    assertThat(controller.openDemo()).isEqualTo("redirect:/");
    verify(demo).open();
  }
}
