package org.opentrellis.app.dryruns;

import org.opentrellis.core.report.RunReport;

/**
 * What came of a run.
 *
 * @param counts what it counted, in its compact form
 */
record RunMade(RunReport report, byte[] counts) {}
