package org.opentrellis.app.upkeep;

import java.io.BufferedReader;
import java.io.Console;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.StartRefused;
import org.opentrellis.app.doors.PasswordFile;
import org.opentrellis.app.storage.ClosedFolder;
import org.opentrellis.app.storage.DataFolder;

/**
 * {@code backup FOLDER FILE}, {@code restore FOLDER FILE}, {@code password FOLDER} and {@code
 * no-password FOLDER}: without starting the application. {@code ./trellis} calls it with what the
 * user said.
 */
public final class UpkeepCommand {
  private static final Set<String> COMMANDS =
      Set.of("backup", "restore", "password", "no-password");

  private UpkeepCommand() {}

  /** Whether the words of a command line ask for one of these. */
  public static boolean isMeant(String[] arguments) {
    return arguments.length > 1 && COMMANDS.contains(arguments[0]);
  }

  /**
   * @return 0 if it was done, 1 if not; what the matter is has been printed
   */
  public static int run(String[] arguments) {
    try {
      Path folder = Path.of(arguments[1]).toAbsolutePath().normalize();
      switch (arguments[0]) {
        case "backup" -> backup(folder, Path.of(arguments[2]));
        case "restore" -> restore(folder, Path.of(arguments[2]));
        case "password" -> password(folder);
        default -> noPassword(folder);
      }
      return 0;
    } catch (StartRefused refused) {
      System.err.println("trellis: " + refused.getMessage());
    } catch (IOException failed) {
      System.err.println("trellis: It could not be done: " + failed.getMessage());
    }
    return 1;
  }

  private static void backup(Path folder, Path file) throws IOException {
    if (Files.exists(file)) {
      throw new StartRefused("%s is there already. Choose another name.".formatted(file));
    }
    requireData(folder);
    Path unfinished = file.resolveSibling(file.getFileName() + ".part");
    Optional<DataFolder> free = DataFolder.openIfFree(folder);
    try {
      if (free.isPresent()) {
        try (DataFolder held = free.get()) {
          new ClosedFolder(held).backup(unfinished);
        }
      } else {
        new RunningApplication(folder).backup(unfinished);
      }
      Files.move(unfinished, file);
    } finally {
      Files.deleteIfExists(unfinished);
    }
    System.out.println("Everything in %s has been kept as %s.".formatted(folder, file));
  }

  private static void restore(Path folder, Path file) throws IOException {
    try (DataFolder held = DataFolder.open(folder)) {
      new ClosedFolder(held).restore(file, Clock.systemUTC(), System.out::println);
    }
  }

  private static void password(Path folder) throws IOException {
    requireFolder(folder);
    String password = ask();
    Optional<String> refusal = PasswordFile.refusal(password);
    if (refusal.isPresent()) {
      throw new StartRefused(refusal.get());
    }
    new PasswordFile(folder).set(password);
    System.out.println(
        "The password of %s is set; whoever was signed in must say it again.".formatted(folder));
  }

  private static void noPassword(Path folder) throws IOException {
    requireFolder(folder);
    new PasswordFile(folder).clear();
    System.out.println("%s asks for no password any more.".formatted(folder));
  }

  /** Asks twice without showing it; from a script, its first line is taken. */
  private static String ask() throws IOException {
    @Nullable Console console = System.console();
    if (console == null) {
      BufferedReader in =
          new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
      return Optional.ofNullable(in.readLine()).orElse("");
    }
    String password = new String(console.readPassword("New password: "));
    String again = new String(console.readPassword("Once more: "));
    if (!password.equals(again)) {
      throw new StartRefused("The two are not the same. Nothing was changed.");
    }
    return password;
  }

  private static void requireFolder(Path folder) throws IOException {
    Files.createDirectories(folder);
  }

  private static void requireData(Path folder) {
    if (Files.notExists(folder.resolve("trellis.mv.db"))) {
      throw new StartRefused("There is no data in %s.".formatted(folder));
    }
  }
}
