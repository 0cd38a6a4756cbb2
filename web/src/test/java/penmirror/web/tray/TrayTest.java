package penmirror.web.tray;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.context.support.StaticMessageSource;
import penmirror.demoart.scan.ScanFile;
import penmirror.web.opening.PictureOpener;
import penmirror.web.tray.TrayPage.Ready;
import penmirror.web.tray.TrayPage.StillWriting;
import penmirror.web.tray.TrayPage.Unreadable;

class TrayTest {
  private static final Instant NOW = Instant.parse("2026-03-01T10:00:00Z");

  @TempDir Path folder;
  private Tray tray;

  @BeforeEach
  void setUpATray() {
    StaticMessageSource messages = new StaticMessageSource();
    messages.setUseCodeAsDefaultMessage(true);
    tray = new Tray(folder, Clock.fixed(NOW, ZoneOffset.UTC), new PictureOpener(), messages);
  }

  @ParameterizedTest
  @EnumSource(ScanFile.Format.class)
  void aWholePageIsReadyWithWhatItsFileStates(ScanFile.Format format) throws Exception {
    put("a page", page(format), Duration.ofMinutes(1));
    TrayPage page = tray.page("a page").orElseThrow();
    assertThat(page.state())
        .isInstanceOfSatisfying(
            Ready.class,
            ready -> {
              assertThat(ready.widthPixels()).isEqualTo(60);
              assertThat(ready.heightPixels()).isEqualTo(40);
              assertThat(ready.resolution().orElseThrow().pixelsPerInch()).isBetween(299.9, 300.1);
            });
    assertThat(tray.read(page).orElseThrow()).isEqualTo(page(format));
  }

  @ParameterizedTest
  @EnumSource(ScanFile.Format.class)
  void aPageStillBeingWrittenIsNotReady(ScanFile.Format format) throws Exception {
    byte[] whole = page(format);
    byte[] half = Arrays.copyOf(whole, whole.length * 2 / 3);
    // It grew a moment ago.
    put("page", half, Duration.ofMillis(300));
    assertThat(tray.page("page").orElseThrow().state()).isInstanceOf(StillWriting.class);
    // The scanner pauses: nothing came for a while, and the end is missing.
    put("page", half, Duration.ofSeconds(10));
    assertThat(tray.page("page").orElseThrow().state()).isInstanceOf(StillWriting.class);
    // The rest came.
    put("page", whole, Duration.ofSeconds(5));
    assertThat(tray.page("page").orElseThrow().isReady()).isTrue();
    // The rest never came.
    put("other", half, Duration.ofMinutes(2));
    assertThat(tray.page("other").orElseThrow().state()).isInstanceOf(Unreadable.class);
  }

  @Test
  void anUnfinishedNameIsWaitedForAndInTheEndToldSo() throws Exception {
    put("page.png.part", page(ScanFile.Format.PNG), Duration.ofSeconds(10));
    assertThat(tray.page("page.png.part").orElseThrow().state()).isInstanceOf(StillWriting.class);
    put("page.png.part", page(ScanFile.Format.PNG), Duration.ofMinutes(5));
    assertThat(tray.page("page.png.part").orElseThrow().state())
        .isEqualTo(new Unreadable("tray.never-finished"));
  }

  @Test
  void whatIsNoPictureIsToldAndLeftAlone() throws Exception {
    byte[] letter = "Dear all, the barge leaves at nine.".getBytes();
    put("letter.png", letter, Duration.ofSeconds(3));
    assertThat(tray.page("letter.png").orElseThrow().state())
        .isInstanceOfSatisfying(
            Unreadable.class,
            unreadable -> assertThat(unreadable.reason()).contains("not a picture of a kind"));
    assertThat(Files.readAllBytes(folder.resolve("letter.png"))).isEqualTo(letter);
  }

  @Test
  void newestFirstWithoutFoldersAndHiddenFiles() throws Exception {
    put("older", page(ScanFile.Format.PNG), Duration.ofHours(2));
    put("newer", page(ScanFile.Format.PNG), Duration.ofHours(1));
    put(".hidden", page(ScanFile.Format.PNG), Duration.ofHours(1));
    Files.createDirectory(folder.resolve("a folder"));
    assertThat(tray.pages()).extracting(TrayPage::fileName).containsExactly("newer", "older");
  }

  @Test
  void noNameLeadsOutOfTheFolder() throws Exception {
    Path outside = Files.write(folder.resolveSibling("outside.png"), page(ScanFile.Format.PNG));
    assertThat(tray.page("../outside.png")).isEmpty();
    assertThat(tray.page(outside.toString())).isEmpty();
    Files.delete(outside);
  }

  @Test
  void aPageThatChangedSinceItWasListedIsNotRead() throws Exception {
    put("page", page(ScanFile.Format.PNG), Duration.ofMinutes(1));
    TrayPage listed = tray.page("page").orElseThrow();
    put("page", page(ScanFile.Format.PNG), Duration.ofSeconds(30));
    assertThat(tray.read(listed)).isEmpty();
    Files.delete(folder.resolve("page"));
    assertThat(tray.read(listed)).isEmpty();
  }

  @Test
  void whatWasTakenInLiesAsideUnderItsName() throws Exception {
    for (int i = 0; i < 2; i++) {
      put("page", page(ScanFile.Format.PNG), Duration.ofMinutes(1));
      tray.putAside(tray.page("page").orElseThrow());
    }
    assertThat(tray.pages()).isEmpty();
    assertThat(folder.resolve("taken/page")).exists();
    assertThat(folder.resolve("taken/2-page")).exists();
  }

  @Test
  void aDeliveryHasItsNameOnlyWhenItIsComplete() throws Exception {
    Tray.Delivery first = tray.deliver("page", "png");
    Tray.Delivery second = tray.deliver("page", "tif");
    assertThat(folder.resolve("page-01.png.part")).exists();
    assertThat(folder.resolve("page-01.png")).doesNotExist();
    first.complete(page(ScanFile.Format.PNG));
    assertThat(folder.resolve("page-01.png.part")).doesNotExist();
    assertThat(Files.readAllBytes(folder.resolve("page-01.png")))
        .isEqualTo(page(ScanFile.Format.PNG));
    second.giveUp();
    assertThat(folder.resolve("page-02.tif.part")).doesNotExist();
  }

  @Test
  void aMissingFolderIsAnEmptyTray() {
    Tray none =
        new Tray(
            folder.resolve("none"),
            Clock.fixed(NOW, ZoneOffset.UTC),
            new PictureOpener(),
            new StaticMessageSource());
    assertThat(none.pages()).isEmpty();
    assertThat(none.page("page")).isEqualTo(Optional.empty());
  }

  private void put(String name, byte[] bytes, Duration ago) throws Exception {
    Path file = Files.write(folder.resolve(name), bytes);
    Files.setLastModifiedTime(file, FileTime.from(NOW.minus(ago)));
  }

  private static byte[] page(ScanFile.Format format) {
    BufferedImage image = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < 2400; i++) {
      image.setRGB(i % 60, i / 60, i * 7919 & 0xFFFFFF);
    }
    return ScanFile.write(image, 300, format);
  }
}
