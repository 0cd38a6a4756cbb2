package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StoreFaultTest {
  @ParameterizedTest
  @CsvSource({
    "22021, NULL_CHARACTER, 400",
    "22P05, NULL_CHARACTER, 400",
    "22001, TOO_LONG, 400",
    "23505, COLLISION, 409",
    "23503, GONE, 409",
    "40P01, BUSY, 503",
    "53300, BUSY, 503",
    "53100, FULL, 507",
    "08006, DOWN, 503",
    "57P01, DOWN, 503",
    "42P01, OTHER, 500"
  })
  void eachCodeHasItsOwnAnswer(String code, StoreFault fault, int status) {
    assertThat(StoreFault.of(new SQLException("said", code))).isEqualTo(fault);
    assertThat(fault.status()).isEqualTo(status);
  }

  @Test
  void withoutACodeThereWasNoConnection() {
    assertThat(StoreFault.of(new SQLException("timed out"))).isEqualTo(StoreFault.DOWN);
  }

  @Test
  void aFullDiskIsToldFromOtherFaultsOfFiles() {
    assertThat(StoreFault.isFullDisk(new IOException("No space left on device"))).isTrue();
    assertThat(StoreFault.isFullDisk(new IOException("Broken pipe"))).isFalse();
    assertThat(StoreFault.isFullDisk(new IllegalStateException("No space left"))).isFalse();
  }
}
