package org.opentrellis.app.letters;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.messages.Written;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.message.Filling;
import org.opentrellis.core.message.Letterhead;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.NewsEntry;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.problem.Severity;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes what journeys send, for one person each, as messages stand at that moment. */
@Service
@Transactional(noRollbackFor = {Refused.class, NotFound.class})
public class PersonalLetters {
  private final MessageLibrary library;
  private final Account account;
  private final Recipients recipients;
  private final Writing writing;
  private final Proofreader proofreader;
  private final IssueNews news;

  PersonalLetters(
      MessageLibrary library,
      Account account,
      Recipients recipients,
      Writing writing,
      Proofreader proofreader,
      IssueNews news) {
    this.library = library;
    this.account = account;
    this.recipients = recipients;
    this.writing = writing;
    this.proofreader = proofreader;
    this.news = news;
  }

  /**
   * A message that is to go out.
   *
   * @param outbox by which it is known again
   * @param key nobody else's; its Message-ID begins with it, however often it is written
   * @param subject instead of the message's
   * @param preview likewise
   * @param sender a sender's address or name instead of the message's
   * @param journey that sends it
   * @param linked the journey's name, if links carry it
   * @param tracked whether it tells that it was opened
   */
  public record Outgoing(
      long outbox,
      String key,
      long person,
      MessageId message,
      Optional<String> subject,
      Optional<String> preview,
      Optional<String> sender,
      long journey,
      Optional<String> linked,
      boolean tracked) {}

  /**
   * Begins to write some emails within one transaction, in which nothing changes about them.
   *
   * @param people to whom; people who are not there cannot be written to
   */
  public Desk desk(List<Long> people) {
    AccountWriter writer = account.writer();
    return new Desk(writer, writing.letterhead(writer), recipients.around(writer, people));
  }

  /**
   * What emails have in common that are written one after the other. Their links work once it is
   * {@link #clear cleared}.
   */
  public final class Desk {
    private final AccountWriter writer;
    private final Letterhead head;
    private final Recipients.Around around;
    private final Map<MessageId, Optional<Written>> messages = new HashMap<>();
    private final Map<Long, List<NewsEntry>> issues = new HashMap<>();
    private final List<SentMailMapper.SentRow> sent = new ArrayList<>();

    private Desk(AccountWriter writer, Letterhead head, Recipients.Around around) {
      this.writer = writer;
      this.head = head;
      this.around = around;
    }

    /**
     * An email.
     *
     * @throws Refused if it cannot be written, with the reason
     */
    public Letter email(Outgoing what) {
      Written written =
          messages
              .computeIfAbsent(what.message(), library::find)
              .orElseThrow(() -> new Refused("the message is not there any more"));
      if (!(written.manuscript() instanceof Manuscript.Email kept)) {
        throw new Refused("the message is no email any more");
      }
      Manuscript.Email email = kept.saying(what.subject(), what.preview());
      Sender sender =
          what.sender()
              .flatMap(said -> Senders.said(said, writer))
              .or(() -> Senders.of(email, writer))
              .orElseThrow(() -> new Refused("the page Account does not say who emails come from"));
      return writing.real(
          what,
          email,
          sender,
          around.known(
              what.person(), Optional.of(sender), issues.computeIfAbsent(what.journey(), news::of)),
          what.linked().map(journey -> new Campaign(journey, written.name())),
          head,
          sent);
    }

    /** Keeps where the links of what was written lead. */
    public void clear() {
      writing.keep(sent);
      sent.clear();
    }
  }

  /**
   * Why some messages cannot be sent as they are saved now, by their ids; those that can are left
   * out. Nobody is to see the name of a field, or a hole.
   */
  public Map<MessageId, String> faults(Set<MessageId> messages) {
    Map<MessageId, String> faults = new HashMap<>();
    proofreader
        .saved(messages)
        .forEach(
            (written, found) ->
                found.stream()
                    .filter(one -> one.severity() == Severity.ERROR)
                    .findFirst()
                    .ifPresent(one -> faults.put(written.id(), one.sentence())));
    return faults;
  }

  /**
   * A text, with how to stop behind it.
   *
   * @throws Refused if it cannot be written, with the reason
   */
  public String text(long person, MessageId message) {
    if (!(library.find(message).map(one -> one.manuscript()).orElse(null)
        instanceof Manuscript.Text text)) {
      throw new Refused("the message is not there any more, or is no text");
    }
    AccountWriter writer = account.writer();
    Whoever reader = recipients.known(person, writer, Optional.empty());
    return account.texting().ended(new Filling(reader, writer.regional()).of(text.words()));
  }
}
