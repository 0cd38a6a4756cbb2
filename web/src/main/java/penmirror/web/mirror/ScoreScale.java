package penmirror.web.mirror;

import java.util.Optional;
import penmirror.core.scoring.Score;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;

/**
 * Both answers on one scale from 0 to 100, with the illustrator's own range, the user's own hand
 * and the nearest other style beside them. Places in px of a drawing 216 wide.
 *
 * @param ownFrom where a redraw begins to stand among the illustrator's own works, in points
 */
record ScoreScale(
    String rulesX,
    String glanceX,
    String ownX,
    String ownWidth,
    String ownFrom,
    String ownTo,
    String handX,
    String hand,
    String otherX,
    String other,
    String otherName,
    String mendedX,
    String mended) {
  private static final double LEFT = 6;
  private static final double LENGTH = 204;

  /** Empty without a score. */
  static Optional<ScoreScale> of(Score score, Verdict.Beside beside) {
    return score
        .byRules()
        .map(
            points ->
                new ScoreScale(
                    x(points),
                    score.glance().map(ScoreScale::x).orElse(""),
                    score.ownByRules().map(own -> x(own.belongsFrom())).orElse(""),
                    score
                        .ownByRules()
                        .map(own -> SvgNumber.of(LENGTH * (own.high() - own.belongsFrom()) / 100))
                        .orElse(""),
                    score.ownByRules().map(own -> Wording.number(own.belongsFrom(), 0)).orElse(""),
                    score.ownByRules().map(own -> Wording.number(own.high(), 0)).orElse(""),
                    beside.ownHand().map(ScoreScale::x).orElse(""),
                    beside.ownHand().map(p -> Wording.number(p, 0)).orElse(""),
                    beside.other().map(ScoreScale::x).orElse(""),
                    beside.other().map(p -> Wording.number(p, 0)).orElse(""),
                    beside.otherName(),
                    score.mended().map(m -> x(m.firstThree())).orElse(""),
                    score.mended().map(m -> Wording.number(m.firstThree(), 0)).orElse("")));
  }

  private static String x(double points) {
    return SvgNumber.of(LEFT + LENGTH * points / 100);
  }
}
