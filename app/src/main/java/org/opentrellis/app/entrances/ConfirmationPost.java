package org.opentrellis.app.entrances;

import jakarta.mail.MessagingException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.account.AccountWriter;
import org.opentrellis.app.http.PublicAddress;
import org.opentrellis.app.letters.Pauses;
import org.opentrellis.app.letters.Smtp;
import org.opentrellis.app.letters.Token;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.people.EmailAddress;
import org.opentrellis.mail.Letter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Asks those who signed up by mail whether it was they. Each mail has a token of its own, of which
 * only a fingerprint is kept; a mail that is tried again has another. That of the mail before works
 * as well: after a crash nobody knows whether it went out.
 */
@Service
public class ConfirmationPost {
  private static final Logger LOG = LoggerFactory.getLogger(ConfirmationPost.class);
  private static final int SOME = 100;

  private final Asking asking;
  private final EntranceMapper entrances;
  private final EntrancePages pages;
  private final Smtp smtp;
  private final Account account;
  private final PublicAddress address;
  private final TrellisSettings settings;
  private final Clock clock;

  ConfirmationPost(
      Asking asking,
      EntranceMapper entrances,
      EntrancePages pages,
      Smtp smtp,
      Account account,
      PublicAddress address,
      TrellisSettings settings,
      Clock clock) {
    this.asking = asking;
    this.entrances = entrances;
    this.pages = pages;
    this.smtp = smtp;
    this.account = account;
    this.address = address;
    this.settings = settings;
    this.clock = clock;
  }

  /** Asks all who wait to be asked; one at a time, so that nobody is asked twice at once. */
  @Scheduled(initialDelay = 1000, fixedDelay = 500)
  public synchronized void post() {
    if (settings.rests()) {
      return;
    }
    AccountWriter writer = account.writer();
    long now = clock.instant().getEpochSecond();
    List<SignUpMapper.SignUpRow> waiting =
        writer.senders().isEmpty() ? List.of() : asking.some(now, SOME);
    if (waiting.isEmpty()) {
      return;
    }
    try (Smtp.Connection connection = smtp.connect()) {
      for (SignUpMapper.SignUpRow row : waiting) {
        ask(row, writer, connection, now);
      }
    } catch (MessagingException none) {
      LOG.debug("Nobody can be asked to confirm just now.", none);
      waiting.forEach(row -> asking.later(row.id(), now + Pauses.after(row.tries())));
    } finally {
      smtp.settle();
    }
  }

  private void ask(
      SignUpMapper.SignUpRow row, AccountWriter writer, Smtp.Connection connection, long now) {
    Token token = Token.random();
    asking.begin(row.id(), token.hash());
    try {
      connection.send(letter(row, writer, token));
      asking.asked(row.id(), now);
    } catch (MessagingException refused) {
      LOG.debug("Sign-up {} could not be asked to confirm.", row.id(), refused);
      asking.later(row.id(), now + Pauses.after(row.tries()));
    }
  }

  private Letter letter(SignUpMapper.SignUpRow row, AccountWriter writer, Token token) {
    EntranceRow of = entrances.find(row.entranceId()).orElseThrow();
    Entrance entrance = of.entrance();
    Sender sender = writer.senders().getFirst();
    String link = address.base() + "/e/" + of.slug() + "/confirm/" + token.value();
    String subject = "Please confirm: " + entrance.title();
    String plain =
        """
        Somebody signed up for "%s" with this address. If it was you, follow this link and say so there:

        %s

        If it was not you, do nothing, and nothing happens.

        %s
        %s
        """
            .formatted(entrance.title(), link, writer.name(), writer.postalAddress());
    return new Letter(
        sender,
        new EmailAddress(row.address()),
        "",
        subject,
        "confirm." + token.hash().substring(0, 32) + "@" + sender.address().domain(),
        clock.instant(),
        pages.mail(entrance, subject, link, writer),
        plain,
        Optional.empty());
  }
}
