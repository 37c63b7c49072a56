package org.opentrellis.app.letters;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.opentrellis.app.StartRefused;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.standins.MailServer;
import org.springframework.stereotype.Component;

/**
 * Which mail server mail is handed over to: the stand-in, unless whoever started the application
 * named another.
 */
@Component
public class MailRoute {
  private static final Pattern PLACE = Pattern.compile("(\\[[0-9a-fA-F:]+]|[^\\s:]+):(\\d{1,5})");
  private static final int LAST_PORT = 65_535;

  /** For TLS from the first byte on (RFC 8314, section 3.3). */
  private static final int SUBMISSIONS = 465;

  private final MailServer standIn;
  private final Optional<Place> named;
  private final Optional<Login> login;

  MailRoute(TrellisSettings settings, MailServer standIn) {
    this.standIn = standIn;
    this.named = settings.smtp().isBlank() ? Optional.empty() : Optional.of(place(settings.smtp()));
    this.login =
        settings.smtpLogin().isBlank()
            ? Optional.empty()
            : Optional.of(login(Path.of(settings.smtpLogin())));
    if (login.isPresent() && named.isEmpty()) {
      throw new StartRefused("--smtp-login is for the server that --smtp names; name one.");
    }
  }

  /** Where a server listens. */
  record Place(String host, int port) {
    /** Whether it speaks TLS from the first byte on. */
    boolean tlsAtOnce() {
      return port == SUBMISSIONS;
    }

    /** Whether it is on this machine. */
    boolean isHere() {
      return host.equals("localhost") || host.startsWith("127.") || host.equals("[::1]");
    }

    @Override
    public String toString() {
      return host + ":" + port;
    }
  }

  /** Who we are for a server. */
  record Login(String user, String password) {}

  private static Place place(String said) {
    Matcher read = PLACE.matcher(said.strip());
    int port = read.matches() ? Integer.parseInt(read.group(2)) : 0;
    if (port < 1 || port > LAST_PORT) {
      throw new StartRefused(
          "--smtp takes a host and a port, such as mail.example.com:587, not %s.".formatted(said));
    }
    return new Place(read.group(1), port);
  }

  private static Login login(Path file) {
    try {
      List<String> lines = Files.readAllLines(file);
      if (lines.size() < 2 || lines.get(0).isBlank() || lines.get(1).isEmpty()) {
        throw new StartRefused(
            "The file %s is to have the user\u2019s name in its first line and the password in its second."
                .formatted(file));
      }
      return new Login(lines.get(0).strip(), lines.get(1));
    } catch (IOException unreadable) {
      throw new StartRefused("The file %s cannot be read.".formatted(file), unreadable);
    }
  }

  /** The server that mail leaves this machine to; empty if it stays here. */
  public Optional<String> leavesTo() {
    return named.map(Place::toString);
  }

  /** What the stand-in took is kept when this returns; a server elsewhere has kept it already. */
  void settle() {
    if (named.isEmpty()) {
      standIn.settle();
    }
  }

  /** Where mail is handed over now; empty while nobody listens there. */
  Optional<Place> to() {
    if (named.isPresent()) {
      return named;
    }
    return standIn.isRunning()
        ? Optional.of(new Place(standIn.host(), standIn.port()))
        : Optional.empty();
  }

  Optional<Login> login() {
    return login;
  }
}
