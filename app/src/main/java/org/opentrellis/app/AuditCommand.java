package org.opentrellis.app;

import java.nio.file.Files;
import java.nio.file.Path;
import org.opentrellis.app.live.Audit;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * {@code audit FOLDER}: lives everybody's life once more by the log, and says where that does not
 * lead to how they stand. Nothing that is due is done meanwhile.
 */
final class AuditCommand {
  private AuditCommand() {}

  static boolean isMeant(String[] arguments) {
    return arguments.length > 1 && arguments[0].equals("audit");
  }

  /**
   * @return 0 only if nothing differs; what does has been printed
   */
  static int run(String[] arguments) {
    Path folder = Path.of(arguments[1]).toAbsolutePath().normalize();
    if (Files.notExists(folder.resolve("trellis.mv.db"))) {
      System.err.println("trellis: There is no data in %s.".formatted(folder));
      return 1;
    }
    try (ConfigurableApplicationContext application =
        SpringApplication.run(
            TrellisApplication.class,
            "--trellis.data=" + folder,
            "--trellis.rests=true",
            "--server.port=0",
            "--server.address=127.0.0.1")) {
      Audit.Audited audited = application.getBean(Audit.class).all();
      audited
          .differences()
          .forEach(
              one ->
                  one.sentences()
                      .forEach(
                          sentence ->
                              System.out.println(
                                  "Person %d: %s".formatted(one.person(), sentence))));
      System.out.println(said(audited));
      return audited.differences().isEmpty() ? 0 : 1;
    } catch (RuntimeException reported) {
      // Spring has said it, or StartReporter has.
      return 1;
    }
  }

  private static String said(Audit.Audited audited) {
    if (audited.people() == 0) {
      return "No journey has known anybody yet.";
    }
    String lives =
        audited.people() == 1 ? "1 life was" : "%,d lives were".formatted(audited.people());
    return audited.differences().isEmpty()
        ? lives + " lived once more; each leads to how they stand."
        : "%s lived once more; %,d do not lead to how they stand."
            .formatted(lives, audited.differences().size());
  }
}
