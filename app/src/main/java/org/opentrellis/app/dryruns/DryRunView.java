package org.opentrellis.app.dryruns;

import java.util.List;
import org.opentrellis.core.format.BehaviourDocument;
import org.opentrellis.core.format.JourneyDocument;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.sentence.RunSheet;

/** A dry run whole: the journey and assumptions it was made with, and what it showed. */
public record DryRunView(
    DryRunSummary run,
    JourneyDocument journey,
    RunSheet sheet,
    BehaviourDocument behaviour,
    RunMeasures measures,
    List<String> summary) {}
