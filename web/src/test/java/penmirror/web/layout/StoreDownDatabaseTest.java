package penmirror.web.layout;

import static org.hamcrest.Matchers.containsString;
import static org.mockito.Mockito.doCallRealMethod;
import static org.mockito.Mockito.doThrow;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.MockMvc;
import penmirror.web.studies.StudyStore;

@SpringBootTest
@AutoConfigureMockMvc
class StoreDownDatabaseTest {
  @Autowired MockMvc mvc;
  @MockitoSpyBean StudyStore studies;

  @Test
  void aStoppedDatabaseIsAClearPageThatMendsItself() throws Exception {
    doThrow(new CannotGetJdbcConnectionException("Connection refused")).when(studies).all();
    mvc.perform(get("/"))
        .andExpect(status().isServiceUnavailable())
        .andExpect(content().string(containsString("library does not answer just now")))
        .andExpect(content().string(containsString("nothing could be read or kept")));
    mvc.perform(get("/").header("HX-Request", "true"))
        .andExpect(status().isServiceUnavailable())
        .andExpect(header().string("HX-Retarget", "#faults"));
    doCallRealMethod().when(studies).all();
    mvc.perform(get("/")).andExpect(status().isOk());
  }
}
