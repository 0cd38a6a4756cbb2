package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.ROLE_COLOUR;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Tones;

/** Keeps the colours of a work by the role they paint. */
@Repository
public class RoleStore {
  private final DSLContext database;

  RoleStore(DSLContext database) {
    this.database = database;
  }

  /** How a role's colour is laid. In the order they are shown. */
  public enum Tone {
    BASE,
    SHADOW,
    STRIP,
    HIGHLIGHT;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * @param byHand whether it was picked, rather than found by itself
   */
  public record Colour(Tone tone, String hex, boolean byHand) {}

  /** What was found by itself, as far as it was. */
  public static List<Colour> found(Tones tones) {
    List<Colour> colours = new ArrayList<>();
    colours.add(found(Tone.BASE, tones.base()));
    tones.shadow().ifPresent(colour -> colours.add(found(Tone.SHADOW, colour)));
    tones.strip().ifPresent(colour -> colours.add(found(Tone.STRIP, colour)));
    tones.highlight().ifPresent(colour -> colours.add(found(Tone.HIGHLIGHT, colour)));
    return colours;
  }

  private static Colour found(Tone tone, OkLab colour) {
    return new Colour(tone, colour.toEncodedSrgb().hex(), false);
  }

  /** Colours of every role, roles by name, tones in their order. */
  public Map<String, List<Colour>> of(long workId) {
    Map<String, List<Colour>> roles = new LinkedHashMap<>();
    database
        .selectFrom(ROLE_COLOUR)
        .where(ROLE_COLOUR.WORK_ID.eq(workId))
        .orderBy(ROLE_COLOUR.ROLE)
        .forEach(
            row ->
                roles
                    .computeIfAbsent(row.getRole(), role -> new ArrayList<>())
                    .add(
                        new Colour(
                            Tone.valueOf(row.getTone().toUpperCase(Locale.ROOT)),
                            row.getHex(),
                            row.getX() != null)));
    roles.values().forEach(colours -> colours.sort(Comparator.comparing(Colour::tone)));
    return roles;
  }

  /**
   * @param x where it was picked; null where it was found by itself
   */
  public void keep(
      long workId, String role, Tone tone, String hex, @Nullable Double x, @Nullable Double y) {
    database
        .insertInto(ROLE_COLOUR)
        .set(ROLE_COLOUR.WORK_ID, workId)
        .set(ROLE_COLOUR.ROLE, role)
        .set(ROLE_COLOUR.TONE, tone.word())
        .set(ROLE_COLOUR.HEX, hex)
        .set(ROLE_COLOUR.X, x)
        .set(ROLE_COLOUR.Y, y)
        .onConflict(ROLE_COLOUR.WORK_ID, ROLE_COLOUR.ROLE, ROLE_COLOUR.TONE)
        .doUpdate()
        .set(ROLE_COLOUR.HEX, hex)
        .set(ROLE_COLOUR.X, x)
        .set(ROLE_COLOUR.Y, y)
        .execute();
  }

  public void forget(long workId, String role) {
    database
        .deleteFrom(ROLE_COLOUR)
        .where(ROLE_COLOUR.WORK_ID.eq(workId), ROLE_COLOUR.ROLE.eq(role))
        .execute();
  }
}
