package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

/**
 * The steps of finding a face, on faces drawn here of plain ellipses: every true place is known.
 */
class FaceFinderTest {
  private static final Color PAPER = new Color(0xF4EFE6);
  private static final Color SKIN = new Color(0xE8B98F);
  private static final Color SHADE = new Color(0xC0946E);
  private static final Color INK = new Color(0x2A2320);

  /** Eyes at (240, 260) and (360, 260), mouth from 260 to 340 at 380, chin at 450. */
  static BufferedImage face(boolean shaded) {
    BufferedImage image = new BufferedImage(600, 700, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(PAPER);
    g.fillRect(0, 0, 600, 700);
    g.setColor(INK);
    g.fill(new Ellipse2D.Double(130, 60, 340, 330));
    g.setColor(SKIN);
    g.fill(new Ellipse2D.Double(160, 130, 280, 320));
    if (shaded) {
      g.setClip(new Ellipse2D.Double(160, 130, 280, 320));
      g.setColor(SHADE);
      g.fillRect(160, 350, 280, 110);
      g.setClip(null);
    }
    g.setColor(INK);
    g.setStroke(new BasicStroke(3));
    g.draw(new Ellipse2D.Double(160, 130, 280, 320));
    for (int x : new int[] {240, 360}) {
      g.setColor(Color.WHITE);
      g.fill(new Ellipse2D.Double(x - 32, 240, 64, 40));
      g.setColor(INK);
      g.draw(new Ellipse2D.Double(x - 32, 240, 64, 40));
      g.fill(new Ellipse2D.Double(x - 14, 246, 28, 28));
      g.setStroke(new BasicStroke(7));
      g.drawLine(x - 34, 216, x + 34, 214);
      g.setStroke(new BasicStroke(3));
    }
    g.fillOval(290, 318, 20, 12);
    g.setStroke(new BasicStroke(6));
    g.drawLine(260, 380, 340, 380);
    g.dispose();
    return image;
  }

  private static Ground ground(boolean shaded) {
    return new Ground(Picture.from(face(shaded)));
  }

  private static EyePair eyes(Ground ground) {
    return EyePairFinder.find(ground, SpotFinder.find(ground)).get(0);
  }

  private static Face read(Ground ground) {
    EyePair eyes = eyes(ground);
    return FaceReader.read(
        ground,
        eyes,
        new FaceGrid(ground, eyes, View.FRONT),
        TaughtFace.of(ground, eyes.frame()),
        Outline.Prior.ANY,
        FaceReader.Expected.ANY);
  }

  private static Point place(Ground ground, Face face, Landmark landmark) {
    Point framed = face.place(landmark).orElseThrow();
    Point working = face.eyes().at(framed.x(), framed.y());
    return ground.toPicture(working.x(), working.y());
  }

  @Test
  void theFigureStandsOutFromThePaper() {
    Ground ground = ground(false);
    assertThat(ground.left / ground.scale).isCloseTo(130, offset(3.0));
    assertThat(ground.right / ground.scale).isCloseTo(470, offset(3.0));
    assertThat(ground.top / ground.scale).isCloseTo(60, offset(3.0));
    assertThat(ground.bottom / ground.scale).isCloseTo(451, offset(4.0));
    assertThat(ground.figure.at(ground.width / 2, (int) (300 * ground.scale))).isTrue();
    assertThat(ground.figure.at(3, 3)).isFalse();
    assertThat(Ground.run(ground.figure, 3, 3)).isZero();
  }

  @Test
  void workingAndPicturePixelsGoThereAndBack() {
    Ground ground = new Ground(Picture.of(2000, 1000, new int[2_000_000]));
    assertThat(ground.width).isEqualTo(800);
    Point there = ground.toWorking(new Point(1234.5, 678));
    assertThat(ground.toPicture(there.x(), there.y()).distanceTo(new Point(1234.5, 678)))
        .isLessThan(1e-9);
  }

  @Test
  void theEyesAreTheBestPair() {
    Ground ground = ground(false);
    EyePair pair = eyes(ground);
    Point left = ground.toPicture(pair.leftMiddle().x(), pair.leftMiddle().y());
    Point right = ground.toPicture(pair.rightMiddle().x(), pair.rightMiddle().y());
    assertThat(left.distanceTo(new Point(240, 260))).isLessThan(12);
    assertThat(right.distanceTo(new Point(360, 260))).isLessThan(12);
    assertThat(pair.tiltDegrees()).isCloseTo(0, offset(2.0));
  }

  @Test
  void aPairsFrameGoesThereAndBack() {
    Spot left = new Spot(10, 20, 14, 24, 16, 0.3, false, new double[3], 1);
    Spot right = new Spot(50, 30, 54, 34, 16, 0.3, false, new double[3], 1);
    EyePair pair = new EyePair(left, right, 1);
    Point at = pair.at(0.3, 1.2);
    assertThat(pair.inFrame(at.x(), at.y()).distanceTo(new Point(0.3, 1.2))).isLessThan(1e-9);
    assertThat(pair.at(-0.5, 0).distanceTo(pair.leftMiddle())).isLessThan(1e-9);
  }

  @Test
  void everyFeatureIsWhereItWasDrawn() {
    Ground ground = ground(false);
    Face face = read(ground);
    assertThat(place(ground, face, Landmark.EYE_L_OUTER).distanceTo(new Point(208, 260)))
        .isLessThan(6);
    assertThat(place(ground, face, Landmark.EYE_R_INNER).distanceTo(new Point(328, 260)))
        .isLessThan(6);
    assertThat(place(ground, face, Landmark.IRIS_L_CENTRE).distanceTo(new Point(240, 260)))
        .isLessThan(5);
    assertThat(place(ground, face, Landmark.MOUTH_L).distanceTo(new Point(258, 380))).isLessThan(8);
    assertThat(place(ground, face, Landmark.MOUTH_R).distanceTo(new Point(342, 380))).isLessThan(8);
    assertThat(place(ground, face, Landmark.NOSE_BASE).distanceTo(new Point(300, 330)))
        .isLessThan(8);
    assertThat(place(ground, face, Landmark.CHIN).distanceTo(new Point(300, 450))).isLessThan(16);
    assertThat(place(ground, face, Landmark.HAIR_TOP).y()).isCloseTo(60, offset(4.0));
    assertThat(place(ground, face, Landmark.BROW_L_OUTER).distanceTo(new Point(206, 216)))
        .isLessThan(10);
  }

  /** The opening lies inside the outline that is drawn round the eye. */
  @Test
  void theOpeningLiesInsideTheLash() {
    Ground ground = ground(false);
    Face face = read(ground);
    double lash = place(ground, face, Landmark.LASH_L_TOP).y();
    double top = place(ground, face, Landmark.EYE_L_TOP).y();
    assertThat(lash).isLessThan(top);
    assertThat(top).isCloseTo(242, offset(4.0));
    assertThat(place(ground, face, Landmark.EYE_L_BOTTOM).y()).isCloseTo(278, offset(4.0));
  }

  /** A shadow over the lower face is skin: the chin does not slide up to it. */
  @Test
  void shadedSkinIsSkin() {
    Ground ground = ground(true);
    assertThat(place(ground, read(ground), Landmark.CHIN).y()).isCloseTo(450, offset(18.0));
    FaceGrid grid = new FaceGrid(ground, eyes(ground), View.FRONT);
    assertThat(grid.skinAt(0, 1.35)).isGreaterThan(0.9);
    assertThat(grid.skinAt(0, 2.5)).isLessThan(0.1);
  }

  /** Twelve megapixels with a head of 30 working pixels: the features are read from the picture. */
  @Test
  void aSmallHeadIsLookedAtCloser() {
    BufferedImage sheet = new BufferedImage(3000, 4000, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = sheet.createGraphics();
    g.setColor(PAPER);
    g.fillRect(0, 0, 3000, 4000);
    g.drawImage(face(false), 1200, 100, null);
    g.setColor(INK);
    g.fillRect(1400, 540, 200, 3200);
    g.dispose();
    Ground ground = new Ground(Picture.from(sheet));
    Face face = read(ground);
    assertThat(face.eyes().distance()).isLessThan(30);
    assertThat(place(ground, face, Landmark.EYE_L_OUTER).distanceTo(new Point(1408, 360)))
        .isLessThan(6);
    assertThat(place(ground, face, Landmark.IRIS_R_CENTRE).distanceTo(new Point(1560, 360)))
        .isLessThan(3);
    assertThat(place(ground, face, Landmark.MOUTH_L).distanceTo(new Point(1457, 480)))
        .isLessThan(6);
  }

  /** As wide as between its whites, also where a catchlight breaks it. */
  @Test
  void theIrisIsMeasuredBetweenItsWhites() {
    BufferedImage image = face(false);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fill(new Ellipse2D.Double(244, 250, 7, 7));
    g.dispose();
    Ground ground = new Ground(Picture.from(image));
    Face face = read(ground);
    Point centre = place(ground, face, Landmark.IRIS_L_CENTRE);
    assertThat(centre.distanceTo(new Point(240, 260))).isLessThan(1.5);
    assertThat(centre.distanceTo(place(ground, face, Landmark.IRIS_L_EDGE)))
        .isCloseTo(14, offset(1.5));
  }

  /** One half painted black, in it the eye left white: the lit half tells of both. */
  @Test
  void aHalfLitFaceHasADarkAndABrightEye() {
    BufferedImage image = face(false);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setClip(new Ellipse2D.Double(160, 130, 280, 320));
    g.setColor(INK);
    g.fillRect(300, 100, 300, 400);
    g.setColor(Color.WHITE);
    g.fill(new Ellipse2D.Double(328, 240, 64, 40));
    g.setColor(INK);
    g.fill(new Ellipse2D.Double(346, 246, 28, 28));
    g.dispose();
    Ground ground = new Ground(Picture.from(image));
    EyePair pair = eyes(ground);
    assertThat(pair.isHalfLit()).isTrue();
    Face face = read(ground);
    assertThat(place(ground, face, Landmark.EYE_L_OUTER).distanceTo(new Point(208, 260)))
        .isLessThan(8);
    assertThat(place(ground, face, Landmark.EYE_R_OUTER).distanceTo(new Point(392, 260)))
        .isLessThan(10);
    assertThat(place(ground, face, Landmark.CHIN).distanceTo(new Point(300, 450))).isLessThan(20);
  }

  @Test
  void aBrowThatRunsIntoTheHairIsSeenWhereSkinLiesAboveIt() {
    BufferedImage image = face(false);
    Graphics2D g = image.createGraphics();
    g.setColor(INK);
    g.fillRect(180, 120, 50, 98);
    g.dispose();
    Ground ground = new Ground(Picture.from(image));
    Point inner = place(ground, read(ground), Landmark.BROW_L_INNER);
    assertThat(inner.distanceTo(new Point(277, 214))).isLessThan(10);
  }

  /** A bun stands on the head: the crown is the head's, the hair's top the bun's. */
  @Test
  void aBunIsNotTheHead() {
    BufferedImage image = face(false);
    Graphics2D g = image.createGraphics();
    g.setColor(INK);
    g.fill(new Ellipse2D.Double(265, 15, 70, 70));
    g.dispose();
    Ground plain = ground(false);
    Ground ground = new Ground(Picture.from(image));
    double crown = place(ground, read(ground), Landmark.CROWN).y();
    assertThat(crown).isCloseTo(place(plain, read(plain), Landmark.CROWN).y(), offset(12.0));
    assertThat(place(ground, read(ground), Landmark.HAIR_TOP).y()).isCloseTo(15, offset(4.0));
  }

  @Test
  void anOutlineHoldsWhatLiesInside() {
    Outline outline = new Outline(1, 1.5, 0, 2, 0.3, 0, 0);
    assertThat(outline.holds(0, 1.4)).isTrue();
    assertThat(outline.holds(0.8, 0.5)).isTrue();
    assertThat(outline.holds(0.8, 1.3)).isFalse();
    assertThat(outline.holds(0, 1.6)).isFalse();
    assertThat(outline.holds(0.9, -1)).isTrue();
    assertThat(outline.holds(1.1, -1)).isFalse();
  }

  @Test
  void cutThroughWhereTheyAreThinPartsComeApart() {
    boolean[] set = new boolean[20 * 9];
    for (int y = 2; y < 7; y++) {
      for (int x = 2; x < 18; x++) {
        set[y * 20 + x] = x < 7 || x > 12 || y == 4;
      }
    }
    Mask mask = new Mask(20, 9, set);
    assertThat(Parts.cut(mask, 0)).hasSize(1);
    List<Parts.Part> two = Parts.cut(mask, 1);
    assertThat(two).hasSize(2);
    assertThat(two.get(0).left()).isEqualTo(2);
    assertThat(two.get(0).right()).isEqualTo(7);
    assertThat(two.get(1).left()).isEqualTo(13);
  }

  @Test
  void anOutlineRunsFromSideToSideOverTheChin() {
    Outline outline = new Outline(1.2, 1.6, 0.1, 2.2, 0.3, 0.05, 0);
    assertThat(outline.at(-Math.PI / 2).distanceTo(new Point(-1.1, 0.3))).isLessThan(1e-6);
    assertThat(outline.at(0).distanceTo(outline.chinPoint())).isLessThan(1e-9);
    assertThat(outline.at(Math.PI / 2).distanceTo(new Point(1.3, 0.3))).isLessThan(1e-6);
  }

  @Test
  void outlinesOfOnePictureAreAlwaysTheSame() {
    Ground ground = ground(false);
    FaceGrid grid = new FaceGrid(ground, eyes(ground), View.FRONT);
    List<Outline> once = Outline.find(grid, Outline.Prior.ANY);
    assertThat(Outline.find(grid, Outline.Prior.ANY)).isEqualTo(once);
    assertThat(once).isNotEmpty();
  }

  @Test
  void partsHangTogetherOverCorners() {
    boolean[] set = new boolean[6 * 4];
    set[0] = true;
    set[7] = true;
    set[5] = true;
    List<Parts.Part> parts = Parts.of(new Mask(6, 4, set));
    assertThat(parts).hasSize(2);
    Parts.Part diagonal = parts.get(0);
    assertThat(diagonal.area()).isEqualTo(2);
    assertThat(diagonal.width()).isEqualTo(2);
    assertThat(diagonal.height()).isEqualTo(2);
    assertThat(diagonal.times(4).right()).isEqualTo(8);
    assertThat(diagonal.times(4).area()).isEqualTo(32);
  }

  @Test
  void correlationKnowsLikeFromUnlike() {
    double[] one = {1, 2, 3, 4};
    assertThat(EyePairFinder.correlation(one, new double[] {2, 4, 6, 8}))
        .isCloseTo(1, offset(1e-12));
    assertThat(EyePairFinder.correlation(one, new double[] {4, 3, 2, 1}))
        .isCloseTo(-1, offset(1e-12));
    assertThat(EyePairFinder.correlation(one, new double[] {5, 5, 5, 5})).isZero();
  }

  /** An arm beside the head is no hair, and shoulders below the chin are none either. */
  @Test
  void hairIsAsWideAsTheSilhouetteOfTheHead() {
    BufferedImage image = new BufferedImage(400, 600, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, 400, 600);
    pen.setColor(new Color(90, 50, 30));
    pen.fillRect(140, 60, 120, 240);
    pen.fillRect(120, 150, 160, 20);
    pen.fillRect(60, 40, 30, 380);
    pen.fillRect(60, 290, 280, 250);
    pen.dispose();
    Map<Landmark, Proposal.Proposed> hair =
        BodyReader.hair(new Ground(Picture.from(image)), new Point(200, 60), new Point(200, 280));
    assertThat(hair.get(Landmark.HAIR_L).place().x()).isCloseTo(120, offset(1.0));
    assertThat(hair.get(Landmark.HAIR_R).place().x()).isCloseTo(280, offset(1.0));
    assertThat(hair.get(Landmark.HAIR_L).place().y()).isBetween(149.0, 171.0);
  }
}
