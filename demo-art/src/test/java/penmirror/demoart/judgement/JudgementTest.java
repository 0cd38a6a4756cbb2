package penmirror.demoart.judgement;

import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.Signature;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.FixWords;
import penmirror.core.words.Wording;

class JudgementTest {

  @Test
  void print() {
    for (DemoScores.Hand hand : DemoScores.HANDS) {
      System.out.println("== " + hand.name());
      for (Signature.Trait trait : Signature.of(hand.plain(), hand.others(), 6).traits()) {
        System.out.printf(
            "  trait %s by %s d %.2f rank %.2f: %s%n",
            trait.act().key(),
            trait.lead().measure().key(),
            trait.distance(),
            trait.rank(),
            ActWords.sentence(hand.plain(), trait.act()).orElse(""));
      }
      System.out.println("  -- own hand as base");
      for (Signature.Trait trait :
          Signature.of(hand.plain(), penmirror.core.style.BaseLine.ownHand(DemoScores.OWN), 6)
              .traits()) {
        System.out.printf(
            "  trait %s by %s d %.2f rank %.2f: %s%n",
            trait.act().key(),
            trait.lead().measure().key(),
            trait.distance(),
            trait.rank(),
            ActWords.sentence(hand.plain(), trait.act()).orElse(""));
      }
      for (boolean half : new boolean[] {false, true}) {
        Scorer scorer = new Scorer(half ? hand.sheet() : hand.plain());
        for (DemoScores.Seen attempt : hand.attempts()) {
          Score score = scorer.score(attempt.evidence());
          System.out.printf(
              "  %s rules %.1f glance %.1f overall %.1f own %s belongs %s mended %s%n",
              attempt.file(),
              score.byRules().orElse(-1.0),
              score.glance().orElse(-1.0),
              score.overall().orElse(-1.0),
              score.ownByRules(),
              score.belongs(),
              score.mended());
          for (Fix fix : score.fixes().stream().limit(half ? 8 : 0).toList()) {
            System.out.printf(
                "     +%.1f [%s] %s | %s | %s | %s%n",
                fix.pointsGained(),
                fix.key() + fix.along(),
                FixWords.instruction(fix),
                FixWords.miss(fix),
                FixWords.effect(fix).orElse("-"),
                FixWords.why(fix));
          }
        }
      }
      for (Act act : Acts.all()) {
        ActWords.sentence(hand.plain(), act)
            .ifPresent(
                sentence ->
                    System.out.println(
                        "  "
                            + act.key()
                            + " "
                            + ActWords.lead(hand.plain().rules(act)).strength()
                            + ": "
                            + sentence));
      }
    }
    System.out.println(Wording.number(1, 0));
  }
}
