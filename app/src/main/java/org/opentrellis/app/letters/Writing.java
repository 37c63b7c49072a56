package org.opentrellis.app.letters;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.message.Target;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes one letter out, and keeps where its links lead. */
@Component
@Transactional
class Writing {
  private static final Optional<LinkName> UNSUBSCRIBE =
      Optional.of(new LinkName(Letterhead.UNSUBSCRIBE));

  private final HouseStyles styles;
  private final Printing printing;
  private final ProofAddresses here;
  private final PublicAddress address;
  private final SentMailMapper sent;
  private final Clock clock;

  Writing(
      HouseStyles styles,
      Printing printing,
      ProofAddresses here,
      PublicAddress address,
      SentMailMapper sent,
      Clock clock) {
    this.styles = styles;
    this.printing = printing;
    this.here = here;
    this.address = address;
    this.sent = sent;
    this.clock = clock;
  }

  /** A test, of which nobody is told anything. */
  Letter test(
      MessageId id, Manuscript.Email email, Sender sender, Whoever reader, EmailAddress to) {
    Token token = Token.random();
    MailAddresses addresses = MailAddresses.ofTest(address.base(), token, here);
    Letter letter =
        write(
            email,
            sender,
            reader,
            to,
            token.value() + "@" + sender.address().domain(),
            addresses,
            styles.letterhead());
    keep(List.of(row(token, id, addresses, null)));
    return letter;
  }

  /** What stands around every letter. */
  Letterhead letterhead(AccountWriter writer) {
    return styles.letterhead(writer);
  }

  /**
   * What is sent by a journey.
   *
   * @param rows where its links lead, which is to be {@link #keep kept}, is added here
   */
  Letter real(
      PersonalLetters.Outgoing what,
      Manuscript.Email email,
      Sender sender,
      Whoever reader,
      Optional<Campaign> campaign,
      Letterhead head,
      List<SentMailMapper.SentRow> rows) {
    Token token = Token.random();
    MailAddresses addresses =
        new MailAddresses(address.base(), token, here, campaign, what.tracked());
    Letter letter =
        write(
            email,
            sender,
            reader,
            new EmailAddress(reader.address()),
            what.key() + "@" + sender.address().domain(),
            addresses,
            head);
    rows.add(row(token, what.message(), addresses, what.outbox()));
    return letter;
  }

  private Letter write(
      Manuscript.Email email,
      Sender sender,
      Whoever reader,
      EmailAddress to,
      String messageId,
      MailAddresses addresses,
      Letterhead head) {
    Filling filling = new Filling(reader, head.regional());
    String html =
        printing.of(email, head, Passages.holding(email, reader)).fill(filling, reader, addresses);
    String plain = PlainText.of(email, head, reader, addresses);
    String unsubscribe = addresses.link(new Target.Unsubscribe(), UNSUBSCRIBE);
    return new Letter(
        sender,
        to,
        reader.called(),
        filling.of(email.subject()),
        messageId,
        clock.instant(),
        html,
        plain,
        Optional.of(unsubscribe));
  }

  /** Keeps where the links of mails lead. */
  void keep(List<SentMailMapper.SentRow> rows) {
    sent.insert(rows, OffsetDateTime.now(clock));
  }

  private static SentMailMapper.SentRow row(
      Token token, MessageId message, MailAddresses addresses, @Nullable Long outbox) {
    return new SentMailMapper.SentRow(
        token.hash(),
        message.value(),
        Json.write(addresses.destinations()),
        Json.write(addresses.names()),
        outbox);
  }
}
