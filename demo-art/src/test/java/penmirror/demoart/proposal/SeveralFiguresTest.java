package penmirror.demoart.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.proposal.Proposal;
import penmirror.core.proposal.Proposer;
import penmirror.core.raster.Picture;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** Several people on one sheet are told apart, and one with what he holds is one. */
class SeveralFiguresTest {
  private static final double SCALE = 0.35;

  private static List<Illustration> full() {
    List<Illustration> drawn = new ArrayList<>();
    for (DemoStudio.Folder hand : List.of(DemoStudio.odileMarrow(), DemoStudio.inesVantour())) {
      for (Commission work : hand.sources()) {
        if (work.cut() == Cut.FULL) {
          drawn.add(Illustration.of(work, SCALE));
        }
      }
    }
    return drawn;
  }

  private static List<Proposal.Box> figures(BufferedImage image) {
    return new Proposer(List.of()).look(Picture.from(image)).figures();
  }

  /** Beside each other, without their frames; the paper is that of the first. */
  private static BufferedImage sheet(List<Illustration> drawn) {
    int width = drawn.stream().mapToInt(one -> one.image().getWidth()).sum();
    int height = drawn.stream().mapToInt(one -> one.image().getHeight()).max().orElseThrow();
    BufferedImage sheet = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = sheet.createGraphics();
    pen.setColor(new Color(drawn.get(0).image().getRGB(0, 0)));
    pen.fillRect(0, 0, width, height);
    int x = 0;
    for (Illustration one : drawn) {
      pen.drawImage(one.image(), x, 0, null);
      x += one.image().getWidth();
    }
    pen.dispose();
    return sheet;
  }

  @Test
  void oneFigureIsOne() {
    List<Illustration> drawn = full();
    long several = drawn.stream().filter(one -> !figures(one.image()).isEmpty()).count();
    System.out.printf("one figure taken for several: %d of %d%n", several, drawn.size());
    assertThat(several).isLessThanOrEqualTo(drawn.size() / 10);
  }

  @Test
  void peopleWhoStandApartAreCountedAndFramed() {
    List<Illustration> drawn = full().subList(0, 6); // Of one hand: on one paper.
    int right = 0;
    int sheets = 0;
    for (int count = 2; count <= 5; count++) {
      for (int first = 0; first + count <= drawn.size(); first++) {
        List<Illustration> row = drawn.subList(first, first + count);
        List<Proposal.Box> found = figures(sheet(row));
        sheets++;
        boolean all = found.size() == count;
        int x = 0;
        for (int i = 0; all && i < count; i++) {
          int width = row.get(i).image().getWidth();
          all = found.get(i).left() >= x && found.get(i).right() <= x + width;
          x += width;
        }
        right += all ? 1 : 0;
      }
    }
    System.out.printf("people on one sheet: %d of %d sheets right%n", right, sheets);
    assertThat(right).isGreaterThanOrEqualTo((int) (0.9 * sheets));
  }
}
