package org.opentrellis.app.standins;

import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import org.opentrellis.app.http.NotFound;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The mailboxes of the stand-in mail server: every mail that came, as it came. */
@Service
@Transactional
class Inbox {
  private static final int PAGE = 50;
  private static final int LONGEST_SUBJECT = 1000;
  private static final int LONGEST_SENDER = 400;

  private final InboxMapper mapper;
  private final OnTheirWay onTheirWay;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Inbox(InboxMapper mapper, OnTheirWay onTheirWay, ApplicationEventPublisher events, Clock clock) {
    this.mapper = mapper;
    this.events = events;
    this.onTheirWay = onTheirWay;
    this.clock = clock;
  }

  /** A mail that comes, as it is put into a mailbox. */
  InboxMapper.NewMail came(MimeMessage message, String address) throws MessagingException {
    byte[] content = bytes(message);
    String subject = message.getSubject() == null ? "" : message.getSubject();
    return new InboxMapper.NewMail(
        address,
        key(address),
        cut(sender(message), LONGEST_SENDER),
        cut(subject, LONGEST_SUBJECT),
        content.length,
        onTheirWay.arrives(message.getMessageID()),
        OffsetDateTime.now(clock),
        content);
  }

  /** Puts some into their mailboxes, whatever becomes of what else is being done. */
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  void put(List<InboxMapper.NewMail> some) {
    some.forEach(mapper::insert);
  }

  /** The same with one that others want to know of. */
  void putAndTell(InboxMapper.NewMail mail) {
    mapper.insert(mail);
    events.publishEvent(new MailCame(mail.address(), mail.content()));
  }

  private static byte[] bytes(MimeMessage message) throws MessagingException {
    try {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      message.writeTo(bytes);
      return bytes.toByteArray();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private static String sender(MimeMessage message) throws MessagingException {
    if (message.getFrom() == null || message.getFrom().length == 0) {
      return "";
    }
    return message.getFrom()[0] instanceof InternetAddress from
        ? from.toUnicodeString()
        : message.getFrom()[0].toString();
  }

  private static String cut(String text, int most) {
    return text.length() > most ? text.substring(0, most - 1) + "\u2026" : text;
  }

  static String key(String address) {
    return address.toLowerCase(Locale.ROOT);
  }

  /**
   * A page of what came.
   *
   * @param address whose mailbox; blank for all
   * @param before the number of the last one of the page before; null for the newest
   */
  @Transactional(readOnly = true)
  InboxPage page(String address, long before, String server) {
    List<InboxMapper.InboxRow> rows =
        address.isBlank()
            ? mapper.page(before, PAGE + 1)
            : mapper.pageOf(key(address.strip()), before, PAGE + 1);
    List<InboxLine> lines = rows.stream().limit(PAGE).map(InboxLine::of).toList();
    return new InboxPage(
        mapper.count(), lines, rows.size() > PAGE ? lines.getLast().id() : null, server);
  }

  /**
   * @param here where this application is; its own pictures are shown
   * @throws NotFound if there is no mail of that number
   */
  @Transactional(readOnly = true)
  InboxMail mail(long id, String here) {
    InboxLine line = mapper.find(id).map(InboxLine::of).orElseThrow(() -> NotFound.of("mail", id));
    return MailReading.of(line, mapper.content(id).orElseThrow().content(), here);
  }

  /** As it came over SMTP. */
  @Transactional(readOnly = true)
  byte[] content(long id) {
    return mapper.content(id).orElseThrow(() -> NotFound.of("mail", id)).content();
  }

  /** The newest mail in a mailbox of which the Message-ID begins so. */
  @Transactional(readOnly = true)
  OptionalLong newest(String address, String messageId) {
    return mapper.pageOf(key(address), Long.MAX_VALUE, PAGE).stream()
        .mapToLong(InboxMapper.InboxRow::id)
        .filter(id -> MailReading.messageId(content(id)).startsWith(messageId))
        .findFirst();
  }

  void empty() {
    mapper.empty();
  }
}
