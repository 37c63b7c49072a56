package org.opentrellis.app.letters;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.message.Passages;
import org.opentrellis.core.message.PlainText;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.mail.LetterPress;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes messages for somebody who is nobody of the account; nothing leaves, nothing is counted.
 */
@Service
@Transactional(readOnly = true, noRollbackFor = Refused.class)
public class ReadAlone {
  private final MessageLibrary library;
  private final Account account;
  private final HouseStyles styles;
  private final Recipients recipients;
  private final ProofAddresses addresses;

  ReadAlone(
      MessageLibrary library,
      Account account,
      HouseStyles styles,
      Recipients recipients,
      ProofAddresses addresses) {
    this.library = library;
    this.account = account;
    this.styles = styles;
    this.recipients = recipients;
    this.addresses = addresses;
  }

  /**
   * Who reads.
   *
   * @param holding whether a condition holds for them
   */
  public record Reader(
      String firstName,
      String lastName,
      Map<FieldName, Operand> fields,
      LocalDate today,
      Predicate<Condition> holding) {}

  /**
   * What is said instead of what the message says.
   *
   * @param sender a sender's address or name
   */
  public record Instead(
      Optional<String> subject, Optional<String> preview, Optional<String> sender) {
    public static final Instead NOTHING =
        new Instead(Optional.empty(), Optional.empty(), Optional.empty());
  }

  /**
   * A message as it is read.
   *
   * @param html empty for a text
   */
  public record ReadMail(
      String name,
      boolean text,
      String from,
      String subject,
      String preview,
      String html,
      String plain) {}

  /**
   * An email as it stands in an issue of news.
   *
   * @throws Refused if it cannot be written, with the reason
   */
  public ReadMail issue(MessageId id, List<NewsEntry> news, Reader reader) {
    Written written = find(id);
    if (!(written.manuscript() instanceof Manuscript.Email email)) {
      throw new Refused("the message is no email any more");
    }
    return email(written.name(), email, Instead.NOTHING, reader, news);
  }

  private Written find(MessageId id) {
    return library.find(id).orElseThrow(() -> new Refused("the message is not there any more"));
  }

  /**
   * @throws Refused if it cannot be written, with the reason
   */
  public ReadMail read(MessageId id, Instead instead, Reader reader) {
    Written written = find(id);
    return switch (written.manuscript()) {
      case Manuscript.Email email ->
          email(written.name(), email, instead, reader, Recipients.SAMPLE_NEWS);
      case Manuscript.Text text -> text(written.name(), text, reader);
    };
  }

  private ReadMail email(
      String name, Manuscript.Email kept, Instead instead, Reader reader, List<NewsEntry> news) {
    AccountWriter writer = account.writer();
    Manuscript.Email email = kept.saying(instead.subject(), instead.preview());
    Optional<Sender> sender =
        instead
            .sender()
            .flatMap(said -> Senders.said(said, writer))
            .or(() -> Senders.of(email, writer));
    Whoever whoever = recipients.alone(reader, writer, sender, news);
    Letterhead head = styles.letterhead(writer);
    Filling filling = new Filling(whoever, head.regional());
    Set<PartId> holding = Passages.holding(email, whoever);
    return new ReadMail(
        name,
        false,
        sender.map(Sender::name).orElse(""),
        filling.of(email.subject()),
        filling.of(email.preview()),
        LetterPress.print(email, head, holding).fill(filling, whoever, addresses),
        PlainText.of(email, head, whoever, addresses));
  }

  private ReadMail text(String name, Manuscript.Text text, Reader reader) {
    AccountWriter writer = account.writer();
    Whoever whoever = recipients.alone(reader, writer, Optional.empty(), Recipients.SAMPLE_NEWS);
    String words =
        account.texting().ended(new Filling(whoever, writer.regional()).of(text.words()));
    return new ReadMail(name, true, account.texting().sender(), "", "", "", words);
  }
}
