package penmirror.core.figure;

import static penmirror.core.figure.Landmark.*;

import java.util.EnumMap;
import java.util.Map;

/** Marked figures with known proportions. */
public final class Canon {
  private Canon() {}

  /**
   * The figure of Vitruvius, De architectura III.1, drawn 800 px tall: head (crown to chin) an
   * eighth of the height, face (chin to hairline) a tenth, of three equal thirds up to nose base
   * and brows.
   */
  public static Marks vitruvian() {
    double head = 100;
    double chin = 50 + head;
    double face = 80;
    return front(
        Map.of(
            CROWN, Mark.placed(200, 50),
            CHIN, Mark.placed(200, chin),
            HAIRLINE, Mark.placed(200, chin - face),
            NOSE_BASE, Mark.placed(200, chin - face / 3),
            SOLE, Mark.placed(210, 850)));
  }

  /**
   * A realistic adult, common practice: seven and a half heads, eyes half way down, one eye's width
   * between them, five eyes across the face, legs half of the height.
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
    return front(marks);
  }

  private static Marks front(Map<Landmark, Mark> marks) {
    return new Marks(View.FRONT, marks);
  }
}
