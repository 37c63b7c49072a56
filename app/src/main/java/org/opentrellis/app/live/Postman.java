package org.opentrellis.app.live;

import jakarta.mail.MessagingException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.letters.PersonalLetters;
import org.opentrellis.app.letters.Smtp;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Component;

/**
 * Hands over what is to be sent, some at a time, in order of time. What it hands over is noted
 * before and after; a crash in between is the only way to a second copy, which then has the same
 * Message-ID.
 */
@Component
class Postman {
  private static final int SOME = 20;

  private final Outbox outbox;
  private final OpenJourneys open;
  private final PersonalLetters letters;
  private final Smtp smtp;
  private final PhoneLine phone;

  Postman(Outbox outbox, OpenJourneys open, PersonalLetters letters, Smtp smtp, PhoneLine phone) {
    this.outbox = outbox;
    this.open = open;
    this.letters = letters;
    this.smtp = smtp;
    this.phone = phone;
  }

  /** What was handed over, and what came of it. */
  record Handed(OutboxRow row, Handover outcome) {}

  /**
   * Hands over some of what is due.
   *
   * @return how many; none if nothing is due that may go out
   */
  int round(long until) {
    List<OutboxRow> rows = outbox.claim(until, SOME);
    if (rows.isEmpty()) {
      return 0;
    }
    List<Handed> handed = new ArrayList<>();
    @Nullable Smtp.Connection connection = null;
    try {
      for (OutboxRow row : rows) {
        if (row.channel() == OutboxRow.Channel.TEXT) {
          handed.add(new Handed(row, phone.send(row)));
          continue;
        }
        Letter letter;
        try {
          letter = letters.email(outgoing(row));
        } catch (Refused refused) {
          handed.add(new Handed(row, Handover.unwritten(refused)));
          continue;
        }
        try {
          connection = connection == null ? smtp.connect() : connection;
        } catch (MessagingException none) {
          handed.add(new Handed(row, Handover.of(none)));
          continue;
        }
        handed.add(new Handed(row, Handover.of(letter, connection)));
      }
    } finally {
      close(connection);
    }
    outbox.note(handed);
    return rows.size();
  }

  private static void close(Smtp.@Nullable Connection connection) {
    try {
      if (connection != null) {
        connection.close();
      }
    } catch (MessagingException gone) {
      // it is closed then
    }
  }

  private PersonalLetters.Outgoing outgoing(OutboxRow row) {
    Editions editions = open.current();
    JourneyName name = LiveNames.of(row.journeyId());
    Step.SendEmail step =
        (Step.SendEmail) PlannedStep.of(editions, name, row.version(), new StepId(row.step()));
    Optional<Variant> variant =
        step.variants().stream().filter(one -> one.id().value().equals(row.variant())).findFirst();
    return new PersonalLetters.Outgoing(
        row.id(),
        "t%d.%d.%d.%d".formatted(row.id(), row.personId(), row.journeyId(), row.dueAt()),
        row.personId(),
        new MessageId(row.messageId()),
        variant.flatMap(Variant::subject).or(step::subject),
        step.preview(),
        step.sender(),
        step.linkParameters() ? Optional.of(open.nameOf(row.journeyId())) : Optional.empty(),
        !step.untracked());
  }
}
