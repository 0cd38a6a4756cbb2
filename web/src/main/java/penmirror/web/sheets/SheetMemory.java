package penmirror.web.sheets;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Interner;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import penmirror.core.style.StyleSheet;

/**
 * What is made of sheets and takes its time, kept for as long as the sheet is in use: most changes
 * of a study, such as a work that nobody has looked at yet, leave its rules as they were.
 */
@Component
class SheetMemory {
  private static final long MOST_SHEETS = 200;

  /** Scores of a cast of hundreds among them. */
  private static final long MOST_OF_ONE = 800;

  private final Interner<StyleSheet> sheets = Interner.newWeakInterner();
  private final Cache<StyleSheet, Cache<Object, Object>> made =
      Caffeine.newBuilder().weakKeys().maximumSize(MOST_SHEETS).build();

  /** The one of equal sheets that all share. */
  StyleSheet same(StyleSheet sheet) {
    return sheets.intern(sheet);
  }

  /**
   * What is made of a sheet, once.
   *
   * @param sheet one that {@link #same} gave
   * @param what a name, with all else that it hangs on
   */
  @SuppressWarnings("unchecked")
  <T> T of(StyleSheet sheet, Object what, Supplier<T> how) {
    return (T)
        made.get(sheet, key -> Caffeine.newBuilder().maximumSize(MOST_OF_ONE).build())
            .get(what, key -> how.get());
  }
}
