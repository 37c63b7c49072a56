package org.opentrellis.app.live;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.letters.PersonalLetters;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Variant;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.mail.Letter;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes the emails of an outbox, some in one transaction. */
@Component
@Transactional(noRollbackFor = {Refused.class, NotFound.class})
class Composing {
  private final OpenJourneys open;
  private final PersonalLetters letters;

  Composing(OpenJourneys open, PersonalLetters letters) {
    this.open = open;
    this.letters = letters;
  }

  /**
   * An email, or why it cannot be written.
   *
   * @param letter null if it cannot
   * @param later whether it can once somebody has mended the message
   */
  record Composed(@Nullable Letter letter, String refusal, boolean later) {
    static Composed failed(RuntimeException failure) {
      return new Composed(null, Handover.fault(failure), true);
    }
  }

  /** By the rows' numbers; texts that have no fault are left out. */
  Map<Long, Composed> emails(List<OutboxRow> rows) {
    Editions editions = open.current();
    Map<MessageId, String> faults =
        letters.faults(
            rows.stream().map(row -> new MessageId(row.messageId())).collect(Collectors.toSet()));
    PersonalLetters.Desk desk =
        letters.desk(rows.stream().map(OutboxRow::personId).distinct().toList());
    Map<Long, Composed> all = new LinkedHashMap<>();
    for (OutboxRow row : rows) {
      String fault = faults.get(new MessageId(row.messageId()));
      if (fault != null) {
        all.put(row.id(), new Composed(null, "The message has a fault: " + fault, true));
      } else if (row.channel() == OutboxRow.Channel.EMAIL) {
        all.put(row.id(), email(row, editions, desk));
      }
    }
    desk.clear();
    return all;
  }

  private Composed email(OutboxRow row, Editions editions, PersonalLetters.Desk desk) {
    try {
      return new Composed(desk.email(outgoing(row, editions)), "", false);
    } catch (Refused refused) {
      return new Composed(null, refused.sentence(), false);
    } catch (NotFound gone) {
      return new Composed(null, "They were forgotten.", false);
    }
  }

  private PersonalLetters.Outgoing outgoing(OutboxRow row, Editions editions) {
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
        row.journeyId(),
        step.linkParameters() ? Optional.of(open.nameOf(row.journeyId())) : Optional.empty(),
        !step.untracked());
  }
}
