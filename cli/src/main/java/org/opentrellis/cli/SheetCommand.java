package org.opentrellis.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.opentrellis.core.format.JourneyFile;
import org.opentrellis.core.sentence.Markdown;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "sheet",
    description = "Prints a journey file's run sheet as Markdown, to read and to compare.",
    mixinStandardHelpOptions = true)
final class SheetCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "FILE", description = "A journey file.")
  Path file;

  @Override
  public Integer call() {
    JourneyFile read = JourneyFiles.read(List.of(file)).get(0);
    spec.commandLine().getOut().print(Markdown.of(read.journey(), read.catalogue()));
    spec.commandLine().getOut().flush();
    return 0;
  }
}
