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

  /** A connection is renewed after so many messages, as servers wish. */
  private static final int MOST_OVER_ONE = 500;

  private final Outbox outbox;
  private final OpenJourneys open;
  private final PersonalLetters letters;
  private final Smtp smtp;
  private final PhoneLine phone;

  /** Of whoever does what is due, one at a time. */
  private Smtp.@Nullable Connection connection;

  private int used;

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
    for (OutboxRow row : rows) {
      handed.add(new Handed(row, hand(row)));
    }
    outbox.note(handed);
    return rows.size();
  }

  private Handover hand(OutboxRow row) {
    if (row.channel() == OutboxRow.Channel.TEXT) {
      return phone.send(row);
    }
    try {
      Letter letter = letters.email(outgoing(row));
      if (connection == null || used >= MOST_OVER_ONE) {
        hangUp();
        connection = smtp.connect();
        used = 0;
      }
      used++;
      Handover came = Handover.of(letter, connection);
      if (came.result() == Handover.Result.LATER) {
        hangUp();
      }
      return came;
    } catch (Refused refused) {
      return Handover.unwritten(refused);
    } catch (MessagingException none) {
      return Handover.of(none);
    }
  }

  /** Nothing more is to be handed over for now. */
  void hangUp() {
    try {
      if (connection != null) {
        connection.close();
      }
    } catch (MessagingException gone) {
      // it is closed then
    } finally {
      connection = null;
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
        Returns.key(row),
        row.personId(),
        new MessageId(row.messageId()),
        variant.flatMap(Variant::subject).or(step::subject),
        step.preview(),
        step.sender(),
        step.linkParameters() ? Optional.of(open.nameOf(row.journeyId())) : Optional.empty(),
        !step.untracked());
  }
}
