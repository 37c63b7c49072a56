package org.opentrellis.core.dryrun;

import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;

/**
 * What a dry run counted, as bytes ({@link CountsForm}). Whoever reads it has the same run, since a
 * tally goes by the run's journeys; that it is of another is found by the number of counts and the
 * checksum.
 */
public final class TallyForm {
  private static final CountsForm FORM = new CountsForm(0x4f545459, 1, "counts of a dry run");

  private TallyForm() {}

  /**
   * @throws UncheckedIOException if it cannot be written
   */
  public static void write(Tallies tallies, OutputStream to) {
    FORM.write(tallies::counts, to);
  }

  /**
   * @param run the run that was counted
   * @throws UncheckedIOException if it cannot be read, or is of another run, version or engine
   */
  public static Tallies read(DryRun run, InputStream from) {
    Tallies tallies = new Tallies(run.world(), run.settings());
    FORM.read(tallies::counts, from);
    return tallies;
  }
}
