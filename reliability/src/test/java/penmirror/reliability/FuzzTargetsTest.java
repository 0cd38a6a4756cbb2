package penmirror.reliability;

import static org.assertj.core.api.Assertions.assertThatCode;

import java.lang.reflect.Method;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every target on its seeds, on each of them damaged a little, and on what fuzzing once found. */
class FuzzTargetsTest {
  private static final int DAMAGED = 12;

  static List<Class<?>> targets() {
    return Fuzzing.TARGETS;
  }

  @ParameterizedTest
  @MethodSource("targets")
  void aTargetWithstandsItsSeedsAndTheirDamage(Class<?> target) throws Exception {
    Method run = target.getMethod("fuzzerTestOneInput", byte[].class);
    Random random = new Random(11);
    for (Map.Entry<String, byte[]> seed : Fuzzing.seeds(target).entrySet()) {
      assertThatCode(() -> run.invoke(null, (Object) seed.getValue()))
          .as(seed.getKey())
          .doesNotThrowAnyException();
      for (int i = 0; i < DAMAGED; i++) {
        byte[] damaged = seed.getValue().clone();
        for (int hit = 0; hit < 1 + i; hit++) {
          damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
        }
        assertThatCode(() -> run.invoke(null, (Object) damaged))
            .as(seed.getKey() + ", damaged " + i)
            .doesNotThrowAnyException();
      }
    }
  }
}
