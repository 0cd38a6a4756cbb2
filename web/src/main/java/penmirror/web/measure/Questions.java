package penmirror.web.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.coverage.Part;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.format.MarksFile;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.words.Wording;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What one can want to know of a picture, and the points each answer asks for. */
@Component
class Questions {
  private final ScopeStore scopes;

  Questions(ScopeStore scopes) {
    this.scopes = scopes;
  }

  /**
   * A set of points that answers something.
   *
   * @param name empty for the sets, whose names are texts
   */
  record Question(String key, String name, String landmarks) {}

  void addTo(Model model, Study study, Work work) {
    StatureConvention convention = scopes.convention(study.id());
    Predicate<Landmark> hasPlace =
        landmark -> work.tags().framing().map(f -> f.canShow(landmark)).orElse(true);
    List<Measure> measures =
        MeasureCatalogue.all().stream()
            .filter(
                measure ->
                    !measure.isFromPixels()
                        && measure.needs().stream().allMatch(hasPlace)
                        && !convention.excludes(measure)
                        && measure.views().contains(work.view()))
            .toList();
    model.addAttribute("roll", Landmark.values());
    model.addAttribute("sets", sets(study, measures, hasPlace));
    model.addAttribute(
        "questions",
        measures.stream()
            .map(
                measure ->
                    new Question(
                        measure.key(), Wording.name(measure), keys(Set.copyOf(measure.needs()))))
            .toList());
    model.addAttribute("convention", convention.word());
    model.addAttribute("canon", MarksFile.landmarksJson(Canon.realistic()));
  }

  /** The sets to mark in full; in a study of one part that part first. */
  private List<Question> sets(Study study, List<Measure> measures, Predicate<Landmark> hasPlace) {
    List<Question> sets = new ArrayList<>();
    Optional<Part> only = scopes.part(study.id());
    only.ifPresent(
        part -> {
          Set<Landmark> points = EnumSet.noneOf(Landmark.class);
          points.addAll(part.landmarks());
          measures.stream().filter(part::concerns).forEach(m -> points.addAll(m.needs()));
          points.removeIf(hasPlace.negate());
          sets.add(new Question("part", "", keys(points)));
        });
    // The cheeks come with the quick set: eye width is read against them.
    Set<Landmark> quick = of(Landmark.Set.QUICK);
    quick.add(Landmark.CHEEK_L);
    quick.add(Landmark.CHEEK_R);
    quick.removeIf(hasPlace.negate());
    sets.add(new Question("quick", "", keys(quick)));
    Set<Landmark> head = of(Landmark.Set.HEAD);
    head.addAll(quick);
    sets.add(new Question("head", "", keys(head)));
    Set<Landmark> full = EnumSet.allOf(Landmark.class);
    full.removeIf(hasPlace.negate());
    if (full.size() > head.size()) {
      sets.add(new Question("full", "", keys(full)));
    }
    return sets;
  }

  private static Set<Landmark> of(Landmark.Set set) {
    return Arrays.stream(Landmark.values())
        .filter(landmark -> landmark.set() == set)
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(Landmark.class)));
  }

  private static String keys(Set<Landmark> landmarks) {
    return landmarks.stream().sorted().map(Landmark::key).collect(Collectors.joining(" "));
  }
}
