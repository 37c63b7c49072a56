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
import java.util.Optional;
import java.util.Properties;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.mail.ReplyWriter;
import org.opentrellis.mail.ReturnWriter;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Does with a mail of the inbox what people and their mail programs do: through the same doors, by
 * HTTP and SMTP.
 */
@Component
public class MailProgram {
  private static final Pattern CONFIRMS = Pattern.compile(".*/e/[^/]+/confirm/[\\w-]+");
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
  public enum Deed {
    /** The program fetches its pictures, before anybody reads it. */
    FETCH_AHEAD,
    OPEN,
    CLICK,
    UNSUBSCRIBE,
    COMPLAIN,
    BOUNCE,
    /** The mailbox is full just now. */
    BOUNCE_FOR_NOW,
    /** Follows the link that asks whether it was they, and says so there. */
    CONFIRM
  }

  /**
   * @param link which link is clicked, from 0
   * @throws Refusal if the mail has nothing by which that can be done
   */
  public void act(long id, Deed deed, int link) {
    InboxMail mail = inbox.mail(id, address.base());
    switch (deed) {
      case FETCH_AHEAD -> fetch(mark(mail), true);
      case OPEN -> fetch(mark(mail), false);
      case CLICK -> fetch(link(mail, link), false);
      case UNSUBSCRIBE -> unsubscribe(mail);
      case COMPLAIN -> report(mail, id, ReturnWriter::complaint);
      case BOUNCE -> report(mail, id, bounce(mail, true));
      case BOUNCE_FOR_NOW -> report(mail, id, bounce(mail, false));
      case CONFIRM -> confirm(mail);
    }
  }

  /** Clicks the link of those words, or the first if there is none. */
  public void click(long id, Optional<String> words) {
    InboxMail mail = inbox.mail(id, address.base());
    String named =
        mail.links().stream()
            .filter(link -> words.filter(link.words()::equals).isPresent())
            .map(InboxMail.MailLink::address)
            .findFirst()
            .orElseGet(() -> link(mail, 0));
    fetch(named, false);
  }

  /** Reads it; one that does not tell that it is opened leaves no trace. */
  public void open(long id, boolean ahead) {
    marked(inbox.mail(id, address.base())).ifPresent(mark -> fetch(mark, ahead));
  }

  /**
   * Its reader answers a mail.
   *
   * @param words what they write
   */
  public void reply(long id, String words) {
    InboxMail mail = inbox.mail(id, address.base());
    try {
      send(ReplyWriter.of(original(id), mail.line().address(), words));
    } catch (MessagingException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private MimeMessage original(long id) throws MessagingException {
    return new MimeMessage(
        Session.getInstance(new Properties()), new ByteArrayInputStream(inbox.content(id)));
  }

  private void confirm(InboxMail mail) {
    String where =
        mail.links().stream()
            .map(InboxMail.MailLink::address)
            .filter(one -> CONFIRMS.matcher(one).matches())
            .findFirst()
            .orElseThrow(() -> refused("This mail asks nobody to confirm."));
    fetch(where, false);
    send(HttpRequest.newBuilder(here(where)).POST(HttpRequest.BodyPublishers.noBody()));
  }

  private static String mark(InboxMail mail) {
    return marked(mail).orElseThrow(() -> refused("This mail does not tell whether it is opened."));
  }

  /** The picture of one pixel that tells that it was opened. */
  private static Optional<String> marked(InboxMail mail) {
    return Jsoup.parse(mail.html()).select("img[src]").stream()
        .map(picture -> picture.attr("src"))
        .filter(source -> source.matches(".*/o/[\\w-]+\\.gif"))
        .findFirst();
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
      int status =
          client
              .send(request.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.discarding())
              .statusCode();
      if (status >= 500) {
        throw new IllegalStateException("the application answered " + status);
      }
      if (status >= 400) {
        throw refused("It leads nowhere: the application answered %d.".formatted(status));
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
      throw new UncheckedIOException(new IOException("stopped", stop));
    }
  }

  /** What a mail server writes to whoever sent a mail. */
  private interface Report {
    MimeMessage to(String sender, String original) throws MessagingException;
  }

  private static Report bounce(InboxMail mail, boolean forGood) {
    return (sender, original) ->
        ReturnWriter.bounce(sender, mail.line().address(), forGood, original);
  }

  private void report(InboxMail mail, long id, Report kind) {
    try {
      MimeMessage original = original(id);
      String from = ((InternetAddress) original.getFrom()[0]).getAddress();
      String headers =
          Collections.list(original.getAllHeaders()).stream()
              .map(MailProgram::line)
              .collect(Collectors.joining());
      send(kind.to(from, headers));
    } catch (MessagingException failed) {
      throw new IllegalStateException(failed);
    }
  }

  private void send(MimeMessage mail) throws MessagingException {
    Properties properties = new Properties();
    properties.put("mail.smtp.host", server.host());
    properties.put("mail.smtp.port", Integer.toString(server.port()));
    properties.put("mail.smtp.localhost", "localhost");
    try (Transport transport = Session.getInstance(properties).getTransport("smtp")) {
      transport.connect();
      transport.sendMessage(mail, mail.getAllRecipients());
    }
  }

  private static String line(Header header) {
    return header.getName() + ": " + header.getValue() + "\r\n";
  }

  private static Refusal refused(String sentence) {
    return new Refusal(HttpStatus.BAD_REQUEST, "nothing-there", sentence, null);
  }
}
