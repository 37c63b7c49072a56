package org.opentrellis.app.standins;

import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Collections;
import java.util.Properties;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.mail.ReturnWriter;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Does with a mail of the inbox what people and their mail programs do: through the same doors, by
 * HTTP and SMTP.
 */
@Component
class MailProgram {
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private final Inbox inbox;
  private final MailServer server;
  private final PublicAddress address;
  private final HttpClient client =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();

  MailProgram(Inbox inbox, MailServer server, PublicAddress address) {
    this.inbox = inbox;
    this.server = server;
    this.address = address;
  }

  /** What can be done with a mail. */
  enum Deed {
    /** The program fetches its pictures, before anybody reads it. */
    FETCH_AHEAD,
    OPEN,
    CLICK,
    UNSUBSCRIBE,
    COMPLAIN,
    BOUNCE
  }

  /**
   * @param link which link is clicked, from 0
   * @throws Refusal if the mail has nothing by which that can be done
   */
  void act(long id, Deed deed, int link) {
    InboxMail mail = inbox.mail(id, address.base());
    switch (deed) {
      case FETCH_AHEAD -> fetch(mark(mail), true);
      case OPEN -> fetch(mark(mail), false);
      case CLICK -> fetch(link(mail, link), false);
      case UNSUBSCRIBE -> unsubscribe(mail);
      case COMPLAIN -> report(mail, id, false);
      case BOUNCE -> report(mail, id, true);
    }
  }

  /** The picture of one pixel that tells that it was opened. */
  private static String mark(InboxMail mail) {
    return Jsoup.parse(mail.html()).select("img[src]").stream()
        .map(picture -> picture.attr("src"))
        .filter(source -> source.matches(".*/o/[\\w-]+\\.gif"))
        .findFirst()
        .orElseThrow(() -> refused("This mail does not tell whether it is opened."));
  }

  private static String link(InboxMail mail, int link) {
    if (link < 0 || link >= mail.links().size()) {
      throw refused("This mail has no such link.");
    }
    return mail.links().get(link).address();
  }

  private void unsubscribe(InboxMail mail) {
    String where =
        mail.headers().stream()
            .filter(one -> one.name().equals("List-Unsubscribe"))
            .map(one -> one.value().replaceAll("[<>]", "").strip())
            .findFirst()
            .orElseThrow(() -> refused("This mail does not say how to unsubscribe."));
    send(
        HttpRequest.newBuilder(here(where))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString("List-Unsubscribe=One-Click")));
  }

  private void fetch(String where, boolean ahead) {
    HttpRequest.Builder request = HttpRequest.newBuilder(here(where)).GET();
    if (ahead) {
      request.header("Sec-Purpose", "prefetch");
    }
    send(request);
  }

  /** Only what the application itself sent leads anywhere from here. */
  private URI here(String where) {
    URI uri = URI.create(where);
    if (uri.isAbsolute() && !where.startsWith(address.base() + "/")) {
      throw refused("This link leads to another place than this application: nothing is fetched.");
    }
    return URI.create(server.ownAddress() + uri.getPath());
  }

  private void send(HttpRequest.Builder request) {
    try {
      client.send(request.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.discarding());
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    }
  }

  private void report(InboxMail mail, long id, boolean bounce) {
    try {
      MimeMessage original =
          new MimeMessage(
              Session.getInstance(new Properties()), new ByteArrayInputStream(inbox.content(id)));
      String from = ((InternetAddress) original.getFrom()[0]).getAddress();
      String headers =
          Collections.list(original.getAllHeaders()).stream()
              .map(MailProgram::line)
              .collect(Collectors.joining());
      MimeMessage report =
          bounce
              ? ReturnWriter.bounce(from, mail.line().address(), headers)
              : ReturnWriter.complaint(from, headers);
      Properties properties = new Properties();
      properties.put("mail.smtp.host", server.host());
      properties.put("mail.smtp.port", Integer.toString(server.port()));
      properties.put("mail.smtp.localhost", "localhost");
      try (Transport transport = Session.getInstance(properties).getTransport("smtp")) {
        transport.connect();
        transport.sendMessage(report, report.getAllRecipients());
      }
    } catch (MessagingException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private static String line(Header header) {
    return header.getName() + ": " + header.getValue() + "\r\n";
  }

  private static Refusal refused(String sentence) {
    return new Refusal(HttpStatus.BAD_REQUEST, "nothing-there", sentence, null);
  }
}
