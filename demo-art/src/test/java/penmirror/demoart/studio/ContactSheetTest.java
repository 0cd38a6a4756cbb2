package penmirror.demoart.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.Test;

class ContactSheetTest {

  @Test
  void everyPictureStandsInAPlaceOfItsOwnAndTheRestIsNeutral() {
    List<Commission> pictures = DemoStudio.odileMarrow().redraws();
    BufferedImage sheet = ContactSheet.of(pictures, 3, 90);
    assertThat(sheet.getWidth()).isEqualTo(8 + 3 * 98);
    assertThat(sheet.getHeight()).isEqualTo(8 + 2 * 98);
    for (int i = 0; i < 6; i++) {
      int left = 8 + i % 3 * 98;
      int top = 8 + i / 3 * 98;
      int others = 0;
      for (int y = top; y < top + 90; y++) {
        for (int x = left; x < left + 90; x++) {
          others += (sheet.getRGB(x, y) & 0xFFFFFF) == 0x767676 ? 0 : 1;
        }
      }
      // An upright page of 64 by 90, or nothing.
      assertThat(others).isBetween(i < 4 ? 5000 : 0, i < 4 ? 90 * 66 : 0);
    }
    assertThat(sheet.getRGB(4, 100) & 0xFFFFFF).isEqualTo(0x767676);
  }
}
