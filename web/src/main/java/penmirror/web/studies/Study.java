package penmirror.web.studies;

import java.time.Instant;
import penmirror.core.planning.GuidePlan.Canvas;

/** One illustrator's style being studied. */
public record Study(
    long id,
    String name,
    String illustrator,
    String reason,
    String credit,
    Canvas canvas,
    Instant begunAt) {}
