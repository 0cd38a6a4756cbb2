package penmirror.core.figure;

import static penmirror.core.figure.Landmark.*;

import java.util.EnumMap;
import java.util.Map;

/**
 * Marked figures of known proportions: what readings are held against before a study has works of
 * its own.
 */
public final class Canon {
  private Canon() {}

  /**
   * The figure of Vitruvius, De architectura III.1, drawn 800 px tall: head (crown to chin) an
   * eighth of the height, face (chin to hairline) a tenth, of three equal thirds up to nose base
   * and brows, the foot a sixth of the height. Seen from the side.
   */
  public static Marks vitruvian() {
    double head = 100;
    double chin = 50 + head;
    double face = 80;
    return new Marks(
            View.SIDE,
            Map.of(
                CROWN, Mark.placed(200, 50),
                CHIN, Mark.placed(200, chin),
                HAIRLINE, Mark.placed(200, chin - face),
                NOSE_BASE, Mark.placed(200, chin - face / 3),
                SOLE, Mark.placed(210, 850),
                BROW_L_OUTER, Mark.placed(170, chin - 2 * face / 3),
                BROW_L_INNER, Mark.placed(190, chin - 2 * face / 3),
                HEEL_L, Mark.placed(210, 850),
                TOE_L, Mark.placed(210 - 800 / 6.0, 850)))
        .with(BROW_R_INNER, Mark.hidden())
        .with(TOE_R, Mark.hidden());
  }

  /**
   * A realistic adult, common practice: seven and a half heads, eyes half way down, one eye's width
   * between them, five eyes across the face, legs half of the height. Seen from the front, 200 px a
   * head, on a page of 600 by 1700.
   */
  public static Marks realistic() {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    marks.put(CROWN, Mark.placed(300, 100));
    marks.put(CHIN, Mark.placed(300, 300));
    marks.put(EYE_L_OUTER, Mark.placed(255, 200));
    marks.put(EYE_L_INNER, Mark.placed(285, 200));
    marks.put(EYE_R_INNER, Mark.placed(315, 200));
    marks.put(EYE_R_OUTER, Mark.placed(345, 200));
    marks.put(NOSE_BASE, Mark.placed(300, 246));
    marks.put(MOUTH_L, Mark.placed(276, 266));
    marks.put(MOUTH_R, Mark.placed(324, 266));
    marks.put(CHEEK_L, Mark.placed(225, 210));
    marks.put(CHEEK_R, Mark.placed(375, 210));
    marks.put(SHOULDER_L, Mark.placed(100, 367));
    marks.put(SHOULDER_R, Mark.placed(500, 367));
    marks.put(CROTCH, Mark.placed(300, 850));
    marks.put(SOLE, Mark.placed(300, 1600));
    marks.put(HAIR_TOP, Mark.placed(300, 90));
    marks.put(HAIRLINE, Mark.placed(300, 140));
    marks.put(NOSE_TOP, Mark.placed(300, 196));
    marks.put(MOUTH_TOP, Mark.placed(300, 262));
    marks.put(MOUTH_BOTTOM, Mark.placed(300, 272));
    marks.put(NECK_BASE, Mark.placed(300, 360));
    bothSides(marks, BROW_L_OUTER, 250, 186);
    bothSides(marks, BROW_L_PEAK, 262, 178);
    bothSides(marks, BROW_L_INNER, 288, 184);
    bothSides(marks, LASH_L_TOP, 271, 190);
    bothSides(marks, EYE_L_TOP, 268, 194);
    bothSides(marks, EYE_L_BOTTOM, 272, 206);
    bothSides(marks, IRIS_L_CENTRE, 270, 200);
    bothSides(marks, IRIS_L_EDGE, 278, 200);
    bothSides(marks, IRIS_L_TOP, 270, 192);
    bothSides(marks, PUPIL_L, 274, 200);
    bothSides(marks, JAW_L, 240, 266);
    bothSides(marks, EAR_L_TOP, 222, 186);
    bothSides(marks, EAR_L_BASE, 226, 246);
    bothSides(marks, HAIR_L, 215, 170);
    bothSides(marks, NECK_L, 262, 320);
    bothSides(marks, WAIST_L, 180, 640);
    bothSides(marks, HIP_L, 160, 800);
    bothSides(marks, ELBOW_L, 95, 640);
    bothSides(marks, WRIST_L, 90, 860);
    bothSides(marks, FINGERTIP_L, 92, 1010);
    bothSides(marks, KNEE_L, 240, 1200);
    bothSides(marks, ANKLE_L, 250, 1540);
    bothSides(marks, HEEL_L, 250, 1585);
    bothSides(marks, TOE_L, 235, 1600);
    return front(marks);
  }

  /** The figure stands straight about x = 300. */
  private static void bothSides(Map<Landmark, Mark> marks, Landmark left, double x, double y) {
    marks.put(left, Mark.placed(x, y));
    marks.put(left.mirrored(), Mark.placed(600 - x, y));
  }

  private static Marks front(Map<Landmark, Mark> marks) {
    return new Marks(View.FRONT, marks);
  }
}
