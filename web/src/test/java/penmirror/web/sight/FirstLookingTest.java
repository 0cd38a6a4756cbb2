package penmirror.web.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.proposal.FirstSight;
import penmirror.core.proposal.FirstSight.Seen;
import penmirror.core.proposal.Proposal;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.evidence.SightStore;
import penmirror.web.layout.NotFoundException;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** In which order works are looked at, and what comes of one that cannot be. */
class FirstLookingTest {
  private static final long STUDY = 1;

  private final SightStore sights = mock(SightStore.class);
  private final WorkStore works = mock(WorkStore.class);
  private final MarkingStore markings = mock(MarkingStore.class);
  private final PictureStore pictures = mock(PictureStore.class);
  private final PictureOpener opener = mock(PictureOpener.class);
  private final Proposing proposing = mock(Proposing.class);
  private final PixelReading pixelReading = mock(PixelReading.class);
  private final FirstLooking looking =
      new FirstLooking(
          sights,
          works,
          markings,
          pictures,
          opener,
          proposing,
          pixelReading,
          new TransactionTemplate(mock(PlatformTransactionManager.class)));

  private final List<Long> order = new CopyOnWriteArrayList<>();

  @BeforeEach
  void threeUnmarkedWorks() throws UnusablePictureException {
    for (long id = 1; id <= 3; id++) {
      when(works.require(STUDY, id)).thenReturn(work(id));
      when(works.hold(STUDY, id)).thenReturn(work(id));
    }
    when(markings.newest(anyLong(), any()))
        .thenReturn(
            new MarkingStore.Marking(0, Marks.none(View.FRONT), Optional.empty(), List.of()));
    when(pictures.file(any())).thenReturn(new PictureStore.PictureFile(new byte[1], "image/png"));
    when(opener.open(any(), any())).thenReturn(sight(0.9));
    doAnswer(
            call -> {
              order.add(call.getArgument(0));
              return null;
            })
        .when(sights)
        .keep(anyLong(), any(), anyInt(), anyInt());
  }

  @AfterEach
  void end() {
    looking.end();
  }

  /**
   * A look that has begun and does not end before it may.
   *
   * @param seen what the look leaves behind
   */
  private CountDownLatch lookingAt(long work, Runnable seen) throws Exception {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch goOn = new CountDownLatch(1);
    when(opener.open(any(), any()))
        .thenAnswer(
            call -> {
              begun.countDown();
              goOn.await();
              seen.run();
              return sight(0.9);
            });
    looking.want(work(work));
    begun.await();
    return goOn;
  }

  @Test
  void whatIsOnTheScreenIsLookedAtFirst() throws Exception {
    CountDownLatch goOn = lookingAt(1, () -> {});
    looking.want(work(2));
    looking.want(work(3));
    assertThat(looking.isWaiting(3)).isTrue();
    looking.first(List.of(3L));
    goOn.countDown();
    await().until(() -> order.size() == 3);
    assertThat(order).containsExactly(1L, 3L, 2L);
  }

  /** Reading takes longer than a look: pictures are read once all that wait were looked at. */
  @Test
  void whatWasLookedAtIsRead() {
    looking.want(work(1));
    looking.want(work(2));
    await().untilAsserted(() -> verify(pixelReading, times(2)).want(any()));
    assertThat(looking.isWaiting(1)).isFalse();
  }

  /** Who opens the bench while the machine looks gets what it sees, and nothing is done twice. */
  @Test
  void aWorkThatTwoWantIsLookedAtOnce() throws Exception {
    CountDownLatch goOn =
        lookingAt(
            1,
            () -> when(sights.of(1)).thenReturn(Optional.of(new SightStore.Sight(sight(0.9), 0))));
    Thread bench = new Thread(() -> looking.now(work(1)));
    bench.start();
    goOn.countDown();
    bench.join();
    await().until(() -> !looking.isWaiting(1));
    assertThat(order).containsExactly(1L);
    assertThat(looking.now(work(1))).isPresent();
  }

  @Test
  void aDatabaseThatIsAwayLosesNoWork() {
    when(works.require(STUDY, 1))
        .thenThrow(new DataAccessResourceFailureException("away"))
        .thenReturn(work(1));
    looking.want(work(1));
    await().atMost(Duration.ofSeconds(15)).until(() -> order.contains(1L));
  }

  @Test
  void aWorkThatIsGoneHoldsNobodyUp() {
    when(works.require(STUDY, 1)).thenThrow(new NotFoundException("fault.work.unknown", 1));
    looking.want(work(1));
    looking.want(work(2));
    await().until(() -> order.contains(2L));
    assertThat(order).containsExactly(2L);
  }

  /** It can still be marked by hand, and its pixels are asked for all the same. */
  @Test
  void aPictureThatCannotBeOpenedIsLeftAsItIs() throws Exception {
    when(opener.open(any(), any())).thenThrow(new IllegalStateException("a fault of ours"));
    looking.want(work(1));
    await().untilAsserted(() -> verify(pixelReading).want(any()));
    assertThat(order).isEmpty();
    verify(works, never()).think(anyLong(), any(), any(), any());
  }

  @Test
  void aSideThatIsLessThanLikelyIsNotTaken() throws Exception {
    when(opener.open(any(), any())).thenReturn(sight(0.4));
    looking.want(work(1));
    await().until(() -> order.contains(1L));
    verify(works).think(1, View.FRONT, Optional.of(Framing.BUST), Optional.empty());
  }

  private static FirstSight sight(double chance) {
    return new FirstSight(
        Optional.of(new Seen<>(View.SIDE, chance)),
        Optional.of(new Seen<>(Framing.BUST, 0.9)),
        Optional.empty(),
        new Proposal(View.SIDE, Map.of(), new Proposal.Box(0, 0, 10, 10)));
  }

  private static Work work(long id) {
    return new Work(
        id,
        STUDY,
        "ab",
        Work.Role.SOURCE,
        (int) id,
        "Pell",
        "",
        View.FRONT,
        100,
        100,
        Work.Tags.NONE,
        false,
        Profile.NONE,
        1,
        false);
  }
}
