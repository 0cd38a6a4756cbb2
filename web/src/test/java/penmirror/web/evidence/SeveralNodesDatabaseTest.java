package penmirror.web.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.MessageSource;
import penmirror.core.figure.View;
import penmirror.core.measure.PixelReadings;
import penmirror.web.DatabaseTest;
import penmirror.web.gather.Intake;
import penmirror.web.opening.PictureOpener;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Several nodes of the application on one database, the running application being one of them. */
class SeveralNodesDatabaseTest extends DatabaseTest {
  private static final int PICTURES = 10;

  @Autowired PixelReadingStore store;
  @Autowired InputsFinder inputs;
  @Autowired DataSource dataSource;
  @Autowired Clock clock;
  @Autowired Intake intake;
  @Autowired MessageSource messages;
  @Autowired WorkStore works;

  private final List<PixelReading> nodes = new ArrayList<>();

  /** Notes in the database itself, whichever node it is, each time a reading comes to its end. */
  @BeforeEach
  void listen() {
    database.execute("create table reading_end (sha256 text not null)");
    database.execute(
        """
        create function note_reading_end() returns trigger language plpgsql as $$
        begin
          insert into reading_end values (new.picture_sha256);
          return new;
        end $$
        """);
    database.execute(
        """
        create trigger note_reading_end after update on pixel_reading for each row
        when (new.state = 'read' and old.state <> 'read')
        execute function note_reading_end()
        """);
  }

  @AfterEach
  void endTheNodes() {
    nodes.forEach(PixelReading::end);
    awaitReadings();
    database.execute("drop trigger note_reading_end on pixel_reading");
    database.execute("drop function note_reading_end()");
    database.execute("drop table reading_end");
  }

  /** Counts what its node finished. */
  private final class CountingStore extends PixelReadingStore {
    private final AtomicInteger finished = new AtomicInteger();

    CountingStore() {
      super(database, clock, messages);
    }

    @Override
    public void finish(String hash, PixelReadings readings) {
      super.finish(hash, readings);
      finished.incrementAndGet();
    }
  }

  private PixelReading node(PixelReadingStore itsStore) {
    PixelReading node =
        new PixelReading(
            itsStore,
            inputs,
            works,
            new PictureOpener(),
            new Looking(),
            messages,
            dataSource,
            clock);
    nodes.add(node);
    return node;
  }

  private List<Work> takeIn(int count) {
    long study = studies.begin("Rope and Rain", "Ines Vantour", "to learn", "by hand");
    List<Work> taken = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Intake.Outcome outcome =
          intake.take(study, figure(i), Work.Role.SOURCE, "Figure " + i, "", View.FRONT);
      taken.add(works.require(study, ((Intake.Taken) outcome).workId()));
    }
    return taken;
  }

  /** An outlined figure, another one for every number. */
  private static byte[] figure(int number) {
    BufferedImage image = new BufferedImage(600, 900, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, 600, 900);
    pen.setStroke(new BasicStroke(6));
    for (int k = 0; k < 3; k++) {
      pen.setColor(Color.getHSBColor(number / (float) PICTURES, 0.3f + 0.2f * k, 0.9f));
      pen.fillOval(150 + 20 * k, 100 + 200 * k, 260 - 7 * number, 220);
      pen.setColor(Color.BLACK);
      pen.drawOval(150 + 20 * k, 100 + 200 * k, 260 - 7 * number, 220);
    }
    pen.dispose();
    try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      ImageIO.write(image, "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private List<String> ends() {
    return database.fetch("select sha256 from reading_end").getValues("sha256", String.class);
  }

  @Test
  void theyShareTheWorkAndReadEachPictureOnce() {
    CountingStore second = new CountingStore();
    CountingStore third = new CountingStore();
    List<Work> taken = takeIn(PICTURES);
    node(second).begin();
    node(third).begin();
    // Asked from every side for the same pictures.
    taken.forEach(work -> nodes.forEach(node -> node.want(work)));

    awaitReadings();

    assertThat(ends())
        .as("every picture once")
        .containsExactlyInAnyOrderElementsOf(taken.stream().map(Work::pictureSha256).toList());
    assertThat(second.finished).hasPositiveValue();
    assertThat(third.finished).hasPositiveValue();
    for (Work work : taken) {
      assertThat(store.progress(work.id()).readings()).isPresent();
    }
  }

  /** A node that was killed leaves its job picked, with a pulse that grows old. */
  @Test
  void whatADeadNodeLeftIsTakenUp() {
    Work work = takeIn(1).get(0);
    awaitReadings();
    database.execute("update pixel_reading set state = 'waiting'");
    node(store).wantOnceMarksRest(work);
    database.execute("update pixel_reading set state = 'reading'");
    database.execute(
        """
        update scheduled_tasks set picked = true, picked_by = 'a node that died',
          execution_time = now() - interval '10 minutes',
          last_heartbeat = now() - interval '10 minutes'
        """);

    node(store).begin();
    awaitReadings();

    assertThat(ends()).endsWith(work.pictureSha256());
    assertThat(store.progress(work.id()).state()).isEqualTo(PixelReadingStore.State.READ);
  }
}
