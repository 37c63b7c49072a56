package org.opentrellis.cli;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Callable;
import org.opentrellis.core.behaviour.TypicalBehaviour;
import org.opentrellis.core.check.CheckContext;
import org.opentrellis.core.check.Checks;
import org.opentrellis.core.check.Finding;
import org.opentrellis.core.check.Neighbour;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.JourneyFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "check",
    description = "Reads journey files and prints what is wrong with the journeys, a line each.",
    mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(
      arity = "1..*",
      paramLabel = "FILE",
      description = "Journey files; each is looked at together with the others.")
  List<Path> files;

  @Override
  public Integer call() {
    List<JourneyFile> read = JourneyFiles.read(files);
    var out = spec.commandLine().getOut();
    for (JourneyFile file : read) {
      List<Neighbour> others =
          read.stream()
              .filter(one -> one != file)
              .map(one -> Neighbour.of(one.journey(), JourneyFile.catalogueOf(read)))
              .toList();
      CheckContext context =
          new CheckContext(
              file.journey(),
              JourneyFile.catalogueOf(read),
              file.behaviour().orElseGet(() -> TypicalBehaviour.in(Documents.USUAL_ZONE)),
              others,
              Set.of(),
              LocalDate.now(TrellisCommand.CLOCK));
      List<Finding> findings = Checks.run(context);
      for (Finding finding : findings) {
        out.printf(
            "%s: %s%s: %s [%s]%n",
            file.journey().name(),
            finding.severity().name().toLowerCase(Locale.ROOT),
            finding.step().map(step -> " at " + step).orElse(""),
            finding.sentence(),
            finding.code());
      }
      if (findings.isEmpty()) {
        out.println(file.journey().name() + ": no findings.");
      }
    }
    return 0;
  }
}
