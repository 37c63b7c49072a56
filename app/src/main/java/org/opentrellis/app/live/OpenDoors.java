package org.opentrellis.app.live;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.people.JourneyDoors;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Trigger;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which open journeys something may bring people into. */
@Component
@Transactional(readOnly = true)
class OpenDoors implements JourneyDoors {
  private final OpenJourneys open;
  private final LifeMapper lives;
  private final KnownPeople people;

  OpenDoors(OpenJourneys open, LifeMapper lives, KnownPeople people) {
    this.open = open;
    this.lives = lives;
    this.people = people;
  }

  @Override
  public List<String> enteredBy(Set<Name> labels) {
    return open.entrances().stream()
        .filter(one -> one.triggers().stream().anyMatch(trigger -> byLabel(trigger, labels)))
        .map(one -> open.nameOf(one.journey()))
        .toList();
  }

  @Override
  public List<Entered> enteredBy(FormName form, Set<Name> labels) {
    return open.entrances().stream()
        .flatMap(
            one ->
                one.triggers().stream()
                    .flatMap(trigger -> by(trigger, form, labels).stream())
                    .findFirst()
                    .map(by -> new Entered(open.nameOf(one.journey()), by, one.mailsAtOnce()))
                    .stream())
        .toList();
  }

  private static Optional<Name> by(Trigger trigger, FormName form, Set<Name> labels) {
    return switch (trigger) {
      case Trigger.SubmitsForm submits ->
          submits.form().map(form::equals).orElse(true) ? Optional.of(form) : Optional.empty();
      case Trigger.JoinsList joins -> Optional.<Name>of(joins.list()).filter(labels::contains);
      case Trigger.GetsTag gets -> Optional.<Name>of(gets.tag()).filter(labels::contains);
      default -> Optional.empty();
    };
  }

  private static boolean byLabel(Trigger trigger, Set<Name> labels) {
    return switch (trigger) {
      case Trigger.JoinsList joins -> labels.contains(joins.list());
      case Trigger.GetsTag gets -> labels.contains(gets.tag());
      default -> false;
    };
  }

  /**
   * Whether somebody has a turn at once by what happened: journeys know them, or it may bring them
   * into one and they may be mailed.
   */
  boolean hasTurn(long person, List<Happening> happened) {
    return lives.isThere(person) || opensTo(happened) && people.hindrance(person).isEmpty();
  }

  private boolean opensTo(List<Happening> happened) {
    return open.entrances().stream()
        .flatMap(one -> one.triggers().stream())
        .anyMatch(trigger -> happened.stream().anyMatch(one -> opensTo(trigger, one)));
  }

  private static boolean opensTo(Trigger trigger, Happening happening) {
    return switch (happening) {
      case Happening.Joined joined -> byLabel(trigger, Set.of(joined.list()));
      case Happening.Tagged tagged -> byLabel(trigger, Set.of(tagged.tag()));
      case Happening.FormSubmitted form -> trigger instanceof Trigger.SubmitsForm;
      case Happening.CartChanged cart -> trigger instanceof Trigger.LeavesCart;
      case Happening.Ordered ordered -> trigger instanceof Trigger.Buys;
      case Happening.EventArrived event ->
          trigger instanceof Trigger.EventArrives arrives && arrives.event().equals(event.event());
      case Happening.Came came -> true;
      case Happening.PutIn in -> true;
      case Happening.LeftList left -> false;
      case Happening.Untagged untagged -> false;
      case Happening.FieldChanged changed -> false;
      case Happening.Moved moved -> false;
      case Happening.ConsentGiven given -> false;
      case Happening.ConsentWithdrawn withdrawn -> false;
      case Happening.Complained complained -> false;
      case Happening.Erased erased -> false;
      case Happening.OfMessage of -> false;
      case Happening.TakenOut out -> false;
      case Happening.PutForward on -> false;
      case Happening.Published published -> false;
      case Happening.Closed closed -> false;
      case Happening.Stopped stopped -> false;
    };
  }
}
