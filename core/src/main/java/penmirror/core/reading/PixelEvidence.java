package penmirror.core.reading;

import java.util.List;
import java.util.Optional;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.face.IrisReader;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.region.FigureParts;
import penmirror.core.measure.region.FlatPicture;
import penmirror.core.measure.region.LimbReader;
import penmirror.core.measure.shade.ShadeFacts;

/** Readings with what they were read from, so that a page can show where each comes from. */
public record PixelEvidence(
    PixelReadings readings,
    FigurePixels figure,
    Optional<DrawnLines> lines,
    Palette palette,
    ShadeFacts shade,
    FlatPicture flats,
    Optional<FigureParts> parts,
    List<LimbReader.Across> limbs,
    List<IrisReader.Iris> irises) {}
