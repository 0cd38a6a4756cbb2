package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.MAKE_OR_BREAK;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;

/** Keeps which acts make or break a study's style, in the user's word. */
@Repository
public class SignatureStore {
  private final DSLContext database;

  SignatureStore(DSLContext database) {
    this.database = database;
  }

  /**
   * @param words the user's own sentence; empty where the sheet's stands
   */
  public record Trait(Act act, String words) {}

  /**
   * @param traits the strongest first; none where nothing was accepted yet
   * @param headline one word over all of them; empty where none was given
   */
  public record Kept(List<Trait> traits, String headline) {
    public Kept {
      traits = List.copyOf(traits);
    }

    public List<Act> acts() {
      return traits.stream().map(Trait::act).toList();
    }
  }

  /** Acts that this version no longer knows are left out. */
  public Kept of(long studyId) {
    List<Trait> traits =
        database
            .selectFrom(MAKE_OR_BREAK)
            .where(MAKE_OR_BREAK.STUDY_ID.eq(studyId))
            .orderBy(MAKE_OR_BREAK.PLACE)
            .fetch()
            .stream()
            .flatMap(row -> trait(row.getAct(), row.getWords()))
            .toList();
    String headline =
        database
            .select(STUDY.HEADLINE)
            .from(STUDY)
            .where(STUDY.ID.eq(studyId))
            .fetchOptional(STUDY.HEADLINE)
            .orElse("");
    return new Kept(traits, headline);
  }

  private static Stream<Trait> trait(String act, String words) {
    Optional<Act> known = Acts.byKey(act);
    return known.stream().map(a -> new Trait(a, words));
  }

  public void keep(long studyId, Kept kept) {
    database.deleteFrom(MAKE_OR_BREAK).where(MAKE_OR_BREAK.STUDY_ID.eq(studyId)).execute();
    int place = 1;
    for (Trait trait : kept.traits()) {
      database
          .insertInto(MAKE_OR_BREAK)
          .set(MAKE_OR_BREAK.STUDY_ID, studyId)
          .set(MAKE_OR_BREAK.PLACE, place++)
          .set(MAKE_OR_BREAK.ACT, trait.act().key())
          .set(MAKE_OR_BREAK.WORDS, trait.words())
          .execute();
    }
    database
        .update(STUDY)
        .set(STUDY.HEADLINE, kept.headline())
        .where(STUDY.ID.eq(studyId))
        .execute();
  }
}
