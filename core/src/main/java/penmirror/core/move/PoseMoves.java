package penmirror.core.move;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.HEEL_L;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SOLE;
import static penmirror.core.figure.Landmark.TOE_L;
import static penmirror.core.figure.Landmark.WRIST_L;
import static penmirror.core.move.Shifts.armsAcross;
import static penmirror.core.move.Shifts.armsDown;
import static penmirror.core.move.Shifts.bodyLarger;
import static penmirror.core.move.Shifts.halved;
import static penmirror.core.move.Shifts.limbLarger;

import java.util.List;
import java.util.Map;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.move.Move.Shift;

/**
 * A move for every measure of {@link Moves} that keeps the pose: limbs grow and shrink with every
 * joint as bent as it was, and what hangs on a joint goes along.
 */
public final class PoseMoves {
  private static final Map<Measure, Shift> KEEPING =
      Map.ofEntries(
          Map.entry(ProportionMeasures.STATURE, bodyLarger()),
          Map.entry(ProportionMeasures.STATURE_WITH_HAIR, bodyLarger()),
          Map.entry(ProportionMeasures.STATURE_ALONG_AXIS, bodyLarger()),
          Map.entry(ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR, bodyLarger()),
          Map.entry(
              ProportionMeasures.LEGS, limbLarger(CROTCH, KNEE_L, ANKLE_L, HEEL_L, TOE_L, SOLE)),
          Map.entry(
              ProportionMeasures.LEG_HALVES, halved(CROTCH, KNEE_L, ANKLE_L, HEEL_L, TOE_L, SOLE)),
          Map.entry(ProportionMeasures.ARMS, limbLarger(SHOULDER_L, ELBOW_L, WRIST_L, FINGERTIP_L)),
          Map.entry(
              ProportionMeasures.ARM_HALVES, halved(SHOULDER_L, ELBOW_L, WRIST_L, FINGERTIP_L)),
          Map.entry(ProportionMeasures.SHOULDERS, armsAcross()),
          Map.entry(ProportionMeasures.SHOULDER_DROP, armsDown()));

  private static final List<Move> ALL =
      Moves.carrying().stream()
          .map(
              move -> {
                Shift shift = KEEPING.get(move.measure());
                return shift == null ? move : move.by(move.name() + ", pose kept", shift);
              })
          .toList();

  private PoseMoves() {}

  /** In the order of {@link Moves}: the head before the body. */
  public static List<Move> all() {
    return ALL;
  }
}
