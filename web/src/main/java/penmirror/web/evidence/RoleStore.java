package penmirror.web.evidence;

import static org.jooq.impl.DSL.select;
import static penmirror.web.storage.generated.Tables.ROLE_COLOUR;
import static penmirror.web.storage.generated.Tables.WORK;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.measure.region.NamedRoles;
import penmirror.web.storage.generated.tables.records.RoleColourRecord;

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
                    .add(new Colour(tone(row), row.getHex(), row.getX() != null)));
    roles.values().forEach(colours -> colours.sort(Comparator.comparing(Colour::tone)));
    return roles;
  }

  private static Tone tone(RoleColourRecord row) {
    return Tone.valueOf(row.getTone().toUpperCase(Locale.ROOT));
  }

  /** Of a work, what is named of skin, hair and clothes: it counts before what was found. */
  List<NamedRoles.Named> judged(long workId) {
    return judged(ROLE_COLOUR.WORK_ID.eq(workId)).getOrDefault(workId, List.of());
  }

  /** The same of all works of a study, by work. */
  Map<Long, List<NamedRoles.Named>> judgedOf(long studyId) {
    return judged(
        ROLE_COLOUR.WORK_ID.in(select(WORK.ID).from(WORK).where(WORK.STUDY_ID.eq(studyId))));
  }

  private Map<Long, List<NamedRoles.Named>> judged(Condition which) {
    Map<Long, Map<Role, List<RoleColourRecord>>> rows = new LinkedHashMap<>();
    database
        .selectFrom(ROLE_COLOUR)
        .where(which)
        .forEach(
            row ->
                Role.ofName(row.getRole())
                    .ifPresent(
                        role ->
                            rows.computeIfAbsent(row.getWorkId(), id -> new EnumMap<>(Role.class))
                                .computeIfAbsent(role, of -> new ArrayList<>())
                                .add(row)));
    Map<Long, List<NamedRoles.Named>> named = new HashMap<>();
    rows.forEach(
        (work, roles) ->
            roles.forEach(
                (role, tones) ->
                    named(role, tones)
                        .ifPresent(
                            one -> named.computeIfAbsent(work, id -> new ArrayList<>()).add(one))));
    return named;
  }

  /** Empty until its base was picked. */
  private static Optional<NamedRoles.Named> named(Role role, List<RoleColourRecord> rows) {
    Map<Tone, OkLab> tones = new EnumMap<>(Tone.class);
    Map<Tone, Point> places = new EnumMap<>(Tone.class);
    for (RoleColourRecord row : rows) {
      tones.put(tone(row), OkLab.from(EncodedSrgb.fromHex(row.getHex())));
      if (row.getX() != null && row.getY() != null) {
        places.put(tone(row), new Point(row.getX(), row.getY()));
      }
    }
    OkLab base = tones.get(Tone.BASE);
    Point at = places.getOrDefault(Tone.SHADOW, places.get(Tone.BASE));
    return base == null || at == null
        ? Optional.empty()
        : Optional.of(
            new NamedRoles.Named(
                role,
                new Tones(
                    base,
                    Optional.ofNullable(tones.get(Tone.SHADOW)),
                    Optional.ofNullable(tones.get(Tone.STRIP)),
                    Optional.ofNullable(tones.get(Tone.HIGHLIGHT))),
                at));
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
