package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.geometry.Point;

class SubPictureTest {
  private final Picture whole = OpenArt.draw("heads", "notionists-03", 300);

  @Test
  void aCutOutIsFoundWhereItWasCut() {
    for (int[] box : new int[][] {{0, 0, 300, 300}, {80, 60, 120, 140}, {199, 250, 101, 50}}) {
      Picture part = whole.cropped(box[0], box[1], box[2], box[3]);
      assertThat(SubPicture.offset(whole, part)).contains(new Point(box[0], box[1]));
    }
  }

  @Test
  void anotherPictureIsNotFound() {
    Picture other = OpenArt.draw("heads", "notionists-04", 300).cropped(80, 60, 120, 140);
    assertThat(SubPicture.offset(whole, other)).isEmpty();
    assertThat(SubPicture.offset(other, whole)).isEmpty();
  }

  @Test
  void onePixelThatDiffersIsAnotherPicture() {
    Picture part = whole.cropped(80, 60, 120, 140);
    int[] rgb = new int[part.pixelCount()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = part.rgb(i);
    }
    rgb[5000] ^= 0x010000;
    assertThat(SubPicture.offset(whole, Picture.of(120, 140, rgb))).isEmpty();
  }

  @Test
  void aBlankPartLiesAtTheFirstBlankPlace() {
    Picture blank = whole.cropped(0, 0, 20, 20);
    assertThat(SubPicture.offset(whole, blank)).contains(new Point(0, 0));
  }
}
