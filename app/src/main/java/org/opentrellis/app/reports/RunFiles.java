package org.opentrellis.app.reports;

import java.util.List;
import java.util.stream.IntStream;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.dryruns.DryRuns;
import org.opentrellis.app.dryruns.KeptRun;
import org.opentrellis.core.export.ReportCsv;
import org.opentrellis.core.export.SendPlan;
import org.opentrellis.core.export.StepCsv;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.report.JourneyReport;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;

/** What a kept run showed, as files. */
@Service
class RunFiles {
  private final DryRuns dryRuns;
  private final Account account;
  private final Pages pages;

  RunFiles(DryRuns dryRuns, Account account, Pages pages) {
    this.dryRuns = dryRuns;
    this.account = account;
    this.pages = pages;
  }

  String steps(long id, int number) {
    KeptRun run = dryRuns.find(id);
    return new StepCsv()
        .add(
            Strands.expand(run.part(number).journey(), run.catalogue()),
            report(run, number).measures())
        .toString();
  }

  String paths(long id, int number) {
    return ReportCsv.paths(report(dryRuns.find(id), number).paths());
  }

  String curves(long id, int number) {
    return ReportCsv.curves(report(dryRuns.find(id), number).curves());
  }

  String outgoing(long id) {
    return ReportCsv.outgoing(dryRuns.find(id).report().outgoing());
  }

  String plan(long id) {
    KeptRun run = dryRuns.find(id);
    List<RunMeasures> measures =
        run.report().journeys().stream().map(JourneyReport::measures).toList();
    return SendPlan.of(run.again(), measures);
  }

  String report(long id) {
    KeptRun run = dryRuns.find(id);
    List<JourneyPage> journeys =
        IntStream.range(0, run.parts().size()).mapToObj(number -> page(run, number)).toList();
    return pages.write(
        "run-report",
        java.util.Map.of(
            "run",
            run,
            "cohort",
            run.who(),
            "limits",
            account.limits().of(run.report().outgoing()),
            "journeys",
            journeys));
  }

  private static JourneyPage page(KeptRun run, int number) {
    return JourneyPage.of(
        run.part(number),
        RunSheet.of(run.part(number).journey(), run.catalogue()),
        report(run, number));
  }

  private static JourneyReport report(KeptRun run, int number) {
    run.part(number);
    return run.report().journeys().get(number);
  }
}
