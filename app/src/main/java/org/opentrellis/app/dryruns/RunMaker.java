package org.opentrellis.app.dryruns;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.UncheckedIOException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.elsewhere.Elsewhere;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.dryrun.TallyForm;
import org.opentrellis.core.elsewhere.RunDocument;
import org.opentrellis.core.report.RunReport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Makes runs: here, or elsewhere if they are large. They come to the same. */
@Component
class RunMaker {
  private static final Logger LOG = LoggerFactory.getLogger(RunMaker.class);

  private final Elsewhere elsewhere;
  private final Account account;

  RunMaker(Elsewhere elsewhere, Account account) {
    this.elsewhere = elsewhere;
    this.account = account;
  }

  RunMade make(RunSetup setup, Effort effort) {
    Optional<String> where = elsewhere.where(setup.settings().people());
    if (where.isEmpty()) {
      DryRun run = setup.dryRun();
      return told(run, run.run(effort));
    }
    RunDocument document = setup.document();
    return told(document.dryRun(), elsewhere.run(document, where.get(), effort.control()));
  }

  private RunMade told(DryRun run, Tallies tallies) {
    ByteArrayOutputStream counts = new ByteArrayOutputStream();
    TallyForm.write(tallies, counts);
    return new RunMade(RunReport.of(run, tallies, account.texting()), counts.toByteArray());
  }

  /** Tells a run by the counts that were kept of it; null if they cannot be read any more. */
  @Nullable RunReport told(RunSetup setup, byte @Nullable [] counts) {
    if (counts == null) {
      return null;
    }
    try {
      DryRun run = setup.dryRun();
      Tallies tallies = TallyForm.read(run, new ByteArrayInputStream(counts));
      return RunReport.of(run, tallies, account.texting());
    } catch (UncheckedIOException unreadable) {
      LOG.info("A run is made again: {}", unreadable.getMessage());
      return null;
    }
  }
}
