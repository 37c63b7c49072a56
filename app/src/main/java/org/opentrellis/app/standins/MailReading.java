package org.opentrellis.app.standins;

import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.UnsupportedEncodingException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Properties;
import org.jsoup.Jsoup;

/** Reads a mail as a mail program does. */
final class MailReading {
  private final List<InboxMail.MailPart> parts = new ArrayList<>();
  private String html = "";
  private String plain = "";

  private MailReading() {}

  /** What the mail is called for good; empty if it is called nothing. */
  static String messageId(byte[] content) {
    try {
      String[] called =
          new InternetHeaders(new ByteArrayInputStream(content)).getHeader("Message-ID");
      return called == null ? "" : called[0].strip();
    } catch (MessagingException broken) {
      return "";
    }
  }

  static InboxMail of(InboxLine line, byte[] content, String here) {
    try {
      MimeMessage message =
          new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(content));
      MailReading reading = new MailReading();
      reading.look(message);
      return new InboxMail(
          line,
          headers(message),
          reading.parts,
          reading.html.replace("src=\"" + here + "/", "src=\"/"),
          reading.plain,
          links(reading.html));
    } catch (MessagingException | IOException broken) {
      throw new UncheckedIOException(new IOException("a mail that cannot be read", broken));
    }
  }

  private static List<InboxMail.MailHeader> headers(MimeMessage message) throws MessagingException {
    return Collections.list(message.getAllHeaders()).stream()
        .map(header -> new InboxMail.MailHeader(header.getName(), decoded(header)))
        .toList();
  }

  private static String decoded(Header header) {
    String value = MimeUtility.unfold(header.getValue());
    try {
      return MimeUtility.decodeText(value);
    } catch (UnsupportedEncodingException unknown) {
      return value;
    }
  }

  private void look(Part part) throws MessagingException, IOException {
    if (part.getContent() instanceof Multipart several) {
      for (int i = 0; i < several.getCount(); i++) {
        look(several.getBodyPart(i));
      }
      return;
    }
    String encoding =
        part.getHeader("Content-Transfer-Encoding") == null
            ? "7bit"
            : part.getHeader("Content-Transfer-Encoding")[0];
    String type = part.getContentType().replaceFirst(";.*", "").strip();
    parts.add(new InboxMail.MailPart(type, encoding, part.getSize()));
    if (part.getContent() instanceof String text) {
      if (part.isMimeType("text/html")) {
        html = text;
      } else if (part.isMimeType("text/plain")) {
        plain = text;
      }
    }
  }

  private static List<InboxMail.MailLink> links(String html) {
    return Jsoup.parse(html).select("a[href]").stream()
        .map(
            link ->
                new InboxMail.MailLink(
                    link.text().isBlank() ? link.select("img").attr("alt") : link.text(),
                    link.attr("href")))
        .toList();
  }
}
