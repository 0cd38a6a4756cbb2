package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.colour.OkLab;
import penmirror.core.drawing.Scene;
import penmirror.core.file.PngWriter;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.planning.Companion;
import penmirror.core.planning.Companion.Stand;
import penmirror.core.planning.CompanionScene;
import penmirror.core.planning.LineUp;
import penmirror.core.reading.CutOut;
import penmirror.core.telling.CompanionWords;
import penmirror.web.evidence.CutOuts;
import penmirror.web.layout.RefusedException;
import penmirror.web.mirror.OtherAttempts.Attempt;
import penmirror.web.opening.PictureOpener;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Sets a redraw, and one more figure, into the picture of a work. */
@Component
class Accompanying {
  private final SheetMaker sheets;
  private final CutOuts cutOuts;
  private final CompanionStore store;
  private final OtherAttempts otherAttempts;
  private final PictureStore pictures;
  private final PictureOpener opener;
  private final MessageSource messages;

  Accompanying(
      SheetMaker sheets,
      CutOuts cutOuts,
      CompanionStore store,
      OtherAttempts otherAttempts,
      PictureStore pictures,
      PictureOpener opener,
      MessageSource messages) {
    this.sheets = sheets;
    this.cutOuts = cutOuts;
    this.store = store;
    this.otherAttempts = otherAttempts;
    this.pictures = pictures;
    this.opener = opener;
    this.messages = messages;
  }

  /**
   * @param scene work into whose picture they are set; the last or the nearest one without it
   * @param with the second figure; 0 for none, the one that stood there last without it
   */
  record Asked(Optional<Long> scene, Optional<Long> with) {}

  /**
   * @param scenes works whose picture can take a figure
   * @param own where the figure of the work lies, which can stand before others
   * @param room by which the paper goes on beyond the picture
   * @param paper its colour, as CSS has it
   * @param figures that stand in it, the redraw first
   * @param others that could be the second, by their work
   * @param with the work of the second figure, 0 for none
   */
  record Page(
      Work scene,
      List<Work> scenes,
      Optional<CutOut.Place> own,
      Companion.Room room,
      String paper,
      List<Figure> figures,
      Map<Long, String> others,
      long with) {}

  /**
   * A figure as it stands, all in pixels of the picture but for the cut.
   *
   * @param below from the top of its cut-out to where it stands, in pixels of its own picture
   * @param headPixels of the work's figure, by which steps are measured
   * @param scaleAlike with which its head is as high
   */
  record Figure(
      long workId,
      String name,
      String href,
      CutOut.Place cut,
      double below,
      double headPixels,
      double scaleAlike,
      Stand stand,
      LineUp.Place place,
      List<Told> told) {}

  record Told(String words, boolean fits) {}

  private record Cast(Work scene, Companion.Host host, Optional<CutOuts.Cut> cut) {
    /** White where nothing is known of it. */
    String paper() {
      OkLab white = new OkLab(1, 0, 0);
      return cut.map(CutOuts.Cut::paper).orElse(white).toEncodedSrgb().hex();
    }
  }

  private record One(Study study, Work work, String name) {}

  private record Able(One one, CutOuts.Cut cut, Companion.Guest guest) {}

  private record Stood(One one, CutOuts.Cut cut, Companion companion) {
    byte[] png() {
      return companion.stand().mirrored() ? cut.mirroredPng() : cut.png();
    }
  }

  /** Empty where no work has a picture with a head on it, or the redraw none. */
  Optional<Page> page(Study study, Work redraw, Asked asked) {
    Loaded loaded = sheets.load(study);
    List<Work> scenes = scenes(loaded, redraw);
    return scene(loaded, scenes, redraw, asked)
        .flatMap(
            cast -> {
              Map<Long, Stand> stands = store.stands(redraw.id(), cast.scene().id());
              List<One> others = others(study, loaded, redraw);
              Optional<One> second = second(others, stands, asked);
              List<Stood> stood =
                  stood(cast, new One(study, redraw, redraw.title()), second, stands);
              return stood.isEmpty() || stood.get(0).one().work().id() != redraw.id()
                  ? Optional.empty()
                  : Optional.of(
                      new Page(
                          cast.scene(),
                          scenes,
                          cast.cut().map(CutOuts.Cut::place),
                          stood.get(0).companion().host().room(),
                          cast.paper(),
                          stood.stream().map(Accompanying::figure).toList(),
                          named(others),
                          second.map(one -> one.work().id()).orElse(0L)));
            });
  }

  /**
   * Where a figure was moved to.
   *
   * @param asked the picture, and who else stands in it
   * @throws RefusedException where it cannot stand there
   */
  @Transactional
  public Figure stand(Study study, Work redraw, Asked asked, long figure, Stand to) {
    Loaded loaded = sheets.load(study);
    Cast cast =
        scenes(loaded, redraw).stream()
            .filter(work -> asked.scene().stream().anyMatch(id -> id == work.id()))
            .findFirst()
            .flatMap(work -> cast(loaded, work))
            .orElseThrow(() -> new RefusedException("companion.gone"));
    Optional<One> second = second(others(study, loaded, redraw), Map.of(), asked);
    Stood stood =
        stood(cast, new One(study, redraw, redraw.title()), second, Map.of(figure, to)).stream()
            .filter(one -> one.one().work().id() == figure)
            .findFirst()
            .orElseThrow(() -> new RefusedException("companion.gone"));
    store.stand(redraw.id(), cast.scene().id(), figure, stood.companion().stand());
    return figure(stood);
  }

  /** Back to where a figure would stand that was never moved. */
  void standAnew(Work redraw, long scene, long figure) {
    store.forget(redraw.id(), scene, figure);
  }

  /**
   * The same to be sent on, with whom to credit.
   *
   * @throws RefusedException where nothing can stand there
   */
  Scene scene(Study study, Work redraw, Asked asked) {
    Loaded loaded = sheets.load(study);
    Cast cast =
        scene(loaded, scenes(loaded, redraw), redraw, asked)
            .orElseThrow(() -> new RefusedException("companion.nobody"));
    Map<Long, Stand> stands = store.stands(redraw.id(), cast.scene().id());
    List<Stood> stood =
        stood(
            cast,
            new One(study, redraw, redraw.title()),
            second(others(study, loaded, redraw), stands, asked),
            stands);
    if (stood.isEmpty()) {
      throw new RefusedException("companion.nobody");
    }
    return CompanionScene.of(
        text("companion.of", redraw.title(), cast.scene().title()),
        picture(cast.scene()),
        cast.paper(),
        stood.get(0).companion().host(),
        cast.cut().map(cut -> new CompanionScene.Figure(cut.png(), cut.place())),
        stood.stream().map(one -> new CompanionScene.Guest(one.png(), one.companion())).toList(),
        cast.scene().credit().isBlank() ? study.hand() : cast.scene().credit());
  }

  private byte[] picture(Work scene) {
    try {
      return opener.open(
          pictures.file(scene.pictureSha256()).bytes(),
          opened -> PngWriter.write(opened.picture().toImage(), Optional.empty()));
    } catch (UnusablePictureException e) {
      throw new RefusedException("companion.nobody");
    }
  }

  private Optional<Cast> scene(Loaded loaded, List<Work> scenes, Work redraw, Asked asked) {
    Optional<Long> wanted = asked.scene().or(() -> store.lastScene(redraw.id()));
    return scenes.stream()
        .filter(work -> wanted.stream().anyMatch(id -> id == work.id()))
        .findFirst()
        .or(() -> scenes.stream().findFirst())
        .flatMap(work -> cast(loaded, work));
  }

  private Optional<Cast> cast(Loaded loaded, Work scene) {
    Optional<CutOuts.Cut> cut = cutOuts.of(scene);
    return Companion.Host.of(
            loaded.evidence(scene),
            scene.widthPixels(),
            scene.heightPixels(),
            cut.map(CutOuts.Cut::place))
        .map(host -> new Cast(scene, host, cut));
  }

  /** The redraw, and whoever stands beside it; those that cannot stand are left out. */
  private List<Stood> stood(Cast cast, One redraw, Optional<One> second, Map<Long, Stand> stands) {
    List<Able> able =
        Stream.concat(Stream.of(redraw), second.stream())
            .flatMap(one -> able(one).stream())
            .toList();
    Companion.Host host = cast.host().withRoomFor(able.stream().map(Able::guest).toList());
    List<Stood> stood = new ArrayList<>();
    for (Able one : able) {
      boolean isFirst = stood.isEmpty();
      Companion companion =
          Optional.ofNullable(stands.get(one.one().work().id()))
              .map(to -> Companion.at(host, one.guest(), to))
              .orElseGet(() -> Companion.begun(host, one.guest(), isFirst));
      stood.add(new Stood(one.one(), one.cut(), companion));
    }
    return stood;
  }

  private Optional<Able> able(One one) {
    return cutOuts
        .of(one.work())
        .flatMap(
            cut ->
                Companion.Guest.of(sheets.load(one.study()).evidence(one.work()), cut.place())
                    .map(guest -> new Able(one, cut, guest)));
  }

  /**
   * Works with a head on them: those seen from the same side first, whole figures before others.
   */
  private static List<Work> scenes(Loaded loaded, Work redraw) {
    return loaded.inRole(Work.Role.SOURCE).stream()
        .filter(work -> !work.leftOut())
        .filter(work -> loaded.evidence(work).marks().headFrame().isPresent())
        .sorted(
            Comparator.comparing(
                    (Work work) -> !LineUp.Standing.canStand(loaded.evidence(work).marks()))
                .thenComparing(work -> work.view() != redraw.view())
                .thenComparing(Work::number))
        .toList();
  }

  /** Other attempts and own drawings of the study, and the newest attempt of every other. */
  private List<One> others(Study study, Loaded loaded, Work redraw) {
    List<One> others = new ArrayList<>();
    Stream.concat(
            loaded.inRole(Work.Role.REDRAW).stream(), loaded.inRole(Work.Role.CHARACTER).stream())
        .filter(work -> work.id() != redraw.id())
        .map(work -> new One(study, work, work.title()))
        .forEach(others::add);
    otherAttempts
        .than(study)
        .map((Attempt of) -> new One(of.study(), of.work(), otherAttempts.name(of)))
        .forEach(others::add);
    return others;
  }

  private static Optional<One> second(List<One> others, Map<Long, Stand> stands, Asked asked) {
    return asked
        .with()
        .or(
            () ->
                stands.keySet().stream()
                    .filter(id -> others.stream().anyMatch(one -> one.work().id() == id))
                    .findFirst())
        .flatMap(id -> others.stream().filter(one -> one.work().id() == id).findFirst());
  }

  private static Map<Long, String> named(List<One> others) {
    Map<Long, String> names = new LinkedHashMap<>();
    others.forEach(one -> names.put(one.work().id(), one.name()));
    return names;
  }

  private static Figure figure(Stood stood) {
    Companion companion = stood.companion();
    return new Figure(
        stood.one().work().id(),
        stood.one().name(),
        "/studies/"
            + stood.one().study().id()
            + "/mirror/"
            + stood.one().work().id()
            + "/cut-out.png",
        stood.cut().place(),
        companion.guest().standsAt() - stood.cut().place().top(),
        companion.host().head().headPixels(),
        companion.host().scaleAlike(companion.guest()),
        companion.stand(),
        companion.place(),
        companion.remarks().stream()
            .map(remark -> new Told(CompanionWords.of(remark), remark.fits()))
            .toList());
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
