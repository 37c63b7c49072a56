package org.opentrellis.core.proofreading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.message.Part;

/** What a passage asks is known when the message is sent, and it asks something. */
final class PassageUnknowable implements MessageCheck {
  @Override
  public List<MessageFinding> look(Proofreading proof) {
    List<MessageFinding> findings = new ArrayList<>();
    for (Part.Passage one : proof.parts(Part.Passage.class)) {
      if (one.who().equals(new Condition.All(List.of()))) {
        findings.add(
            MessageFinding.warning(
                    "passage-for-all",
                    Optional.of(one.id()),
                    "Nothing is asked for this passage, so everybody gets it.")
                .fixedBy(
                    "Keep what is in it, without the question",
                    Mending.parts(proof.manuscript(), list -> Mending.unwrap(list, one.id()))));
      }
      one.who()
          .all()
          .filter(PassageUnknowable::isOfAVisit)
          .findFirst()
          .ifPresent(
              part ->
                  findings.add(
                      MessageFinding.error(
                          "passage-unknowable",
                          Optional.of(one.id()),
                          "What this passage asks is known only within a journey, not of whoever gets the message.")));
      one.who()
          .all()
          .filter(Condition.InSegment.class::isInstance)
          .map(part -> ((Condition.InSegment) part).segment())
          .filter(segment -> !proof.segments().contains(segment))
          .forEach(
              segment ->
                  findings.add(
                      MessageFinding.error(
                          "passage-unknowable",
                          Optional.of(one.id()),
                          "There is no segment \u201c%s\u201d, so nobody gets this passage."
                              .formatted(segment))));
    }
    return findings;
  }

  private static boolean isOfAVisit(Condition part) {
    return switch (part) {
      case Condition.AboutEmail email -> true;
      case Condition.CameByForm form -> true;
      case Condition.CameByJourney journey -> true;
      case Condition.CameByList list -> true;
      case Condition.CameByOrder order -> true;
      case Condition.HasTag has -> false;
      case Condition.HadTag had -> false;
      case Condition.OnList on -> false;
      case Condition.InSegment in -> false;
      case Condition.Field field -> false;
      case Condition.Bought bought -> false;
      case Condition.InCart cart -> false;
      case Condition.Happened happened -> false;
      case Condition.IsNow now -> false;
      case Condition.All all -> false;
      case Condition.Any any -> false;
      case Condition.None none -> false;
    };
  }
}
