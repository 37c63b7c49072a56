package org.opentrellis.app.dryruns;

import java.util.List;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.NobodyThere;

/**
 * A quick look at a journey.
 *
 * @param nobody where nobody gets to
 */
record EstimateView(RunMeasures measures, List<NobodyThere.Place> nobody) {}
