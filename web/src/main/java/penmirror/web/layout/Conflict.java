package penmirror.web.layout;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * A form that was filled from an older version than the one that is kept: both are shown, and the
 * user says which counts.
 *
 * @param rows the fields in which they differ
 * @param action where the form goes when mine is to count
 * @param sent what the form held
 * @param version of what is kept now
 */
public record Conflict(List<Row> rows, String action, Map<String, List<String>> sent, int version) {
  private static final Set<String> NOT_FIELDS = Set.of("_csrf", "version");

  /** One field, in words. */
  public record Row(String label, String theirs, String mine) {}

  /**
   * @param theirs values by the words of their labels
   * @param mine the same labels
   * @param parameters as the request holds them
   */
  public static Conflict between(
      Map<String, String> theirs,
      Map<String, String> mine,
      String action,
      Map<String, String[]> parameters,
      int version) {
    List<Row> rows = new ArrayList<>();
    theirs.forEach(
        (label, value) -> {
          String other = mine.getOrDefault(label, "");
          if (!Objects.equals(value, other)) {
            rows.add(new Row(label, value, other));
          }
        });
    Map<String, List<String>> sent = new LinkedHashMap<>();
    parameters.forEach(
        (name, values) -> {
          if (!NOT_FIELDS.contains(name)) {
            sent.put(name, List.of(values));
          }
        });
    return new Conflict(rows, action, sent, version);
  }
}
