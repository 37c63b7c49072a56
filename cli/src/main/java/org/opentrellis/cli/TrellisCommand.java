package org.opentrellis.cli;

import java.io.PrintWriter;
import java.time.Clock;
import org.opentrellis.core.elsewhere.ClusterTrouble;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** All commands. Exit status: 0 done, 1 a fault of ours, 2 a file is refused, 3 bad use. */
@Command(
    name = "trellis",
    subcommands = {
      DryRunCommand.class,
      BetterCommand.class,
      CheckCommand.class,
      SheetCommand.class,
      CalibrateCommand.class
    })
public final class TrellisCommand {
  static final int BAD_FILE = 2;
  static final int BAD_USE = 3;
  private static final int FAILED = 1;

  /** The only clock; the core reads none. */
  static final Clock CLOCK = Clock.systemUTC();

  private TrellisCommand() {}

  public static void main(String[] arguments) {
    System.exit(
        run(arguments, new PrintWriter(System.out, true), new PrintWriter(System.err, true)));
  }

  /** Runs a command and gives its exit status. */
  public static int run(String[] arguments, PrintWriter out, PrintWriter err) {
    CommandLine line = new CommandLine(new TrellisCommand());
    line.setOut(out);
    line.setErr(err);
    line.setCaseInsensitiveEnumValuesAllowed(true);
    line.getCommandSpec().exitCodeOnInvalidInput(BAD_USE);
    line.getSubcommands()
        .values()
        .forEach(sub -> sub.getCommandSpec().exitCodeOnInvalidInput(BAD_USE));
    line.setParameterExceptionHandler(
        (refused, given) -> {
          err.println("trellis: " + refused.getMessage());
          err.println("See ./trellis " + refused.getCommandLine().getCommandName() + " --help.");
          return BAD_USE;
        });
    line.setExecutionExceptionHandler(
        (failure, command, parsed) -> {
          if (failure instanceof BadFile bad) {
            bad.print(err);
            return BAD_FILE;
          }
          if (failure instanceof ClusterTrouble trouble) {
            err.println("trellis: " + trouble.getMessage());
            return FAILED;
          }
          err.println("trellis: " + sentence(failure));
          return FAILED;
        });
    return line.execute(arguments);
  }

  /** Never a stack trace: what a type refused is a sentence, all else is told in one. */
  private static String sentence(Exception failure) {
    if (failure instanceof ProblemsFound || failure instanceof Refused) {
      return String.valueOf(failure.getMessage());
    }
    return "it could not be done, for a reason of ours (%s: %s)."
        .formatted(failure.getClass().getSimpleName(), failure.getMessage());
  }

  /** A file that is refused. */
  static final class BadFile extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String file;
    private final transient ProblemsFound found;

    BadFile(String file, ProblemsFound found) {
      super(file, found);
      this.file = file;
      this.found = found;
    }

    void print(PrintWriter err) {
      for (Problem problem : found.problems()) {
        String place = problem.place().isEmpty() ? "" : " (" + problem.place() + ")";
        err.println(file + ": " + problem.sentence() + place);
      }
    }
  }
}
