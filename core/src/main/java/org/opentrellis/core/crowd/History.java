package org.opentrellis.core.crowd;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Product;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.machine.Happenings;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.walk.Turn;

/** Everything that happened to a sampled person, as a mail server and a shop would tell of it. */
public final class History {
  private final DryRun run;
  private final Person person;
  private final List<Happening> all = new ArrayList<>();

  private History(DryRun run, Person person) {
    this.run = run;
    this.person = person;
  }

  /**
   * What happened to one of a run's people.
   *
   * @param person who went through
   * @param turns what the machine did
   */
  public static List<Happening> of(DryRun run, int number, Person person, List<Turn> turns) {
    History history = new History(run, person);
    history.fate(run.newcomer(number, true));
    person.visits().forEach(history::add);
    if (person.unsubscribesAt() != Person.NEVER
        && run.world().programs().stream()
            .noneMatch(one -> unsubscribedByStep(one, turns, person.unsubscribesAt()))) {
      history.all.add(
          new Happening.ConsentWithdrawn(
              person.unsubscribesAt(), Channel.EMAIL, unsubscribedBy(person)));
    }
    if (person.complainsAt() != Person.NEVER) {
      history.all.add(new Happening.Complained(person.complainsAt()));
    }
    return history.all;
  }

  /** The message by whose link they unsubscribed, if it was by one. */
  private static Optional<MessageRef> unsubscribedBy(Person person) {
    for (Visit visit : person.visits()) {
      int send = visit.unsubscribedBy(person.unsubscribesAt());
      if (send >= 0) {
        Program program = visit.program();
        return Optional.of(
            new MessageRef(program.name(), visit.number(), program.sends().get(send).id()));
      }
    }
    return Optional.empty();
  }

  /** The person before anything happened, and what will lie in the carts that they leave. */
  public static Person beforehand(DryRun run, int number) {
    Person person = run.newcomer(number, false);
    Happenings carts = run.newcomer(number, true).carts();
    for (int n = 0; n < carts.size(); n++) {
      person.fillsCart(carts.at(n), carts.what(n), carts.cents(n));
    }
    return person;
  }

  /** What happened whatever was sent. */
  private void fate(Person fated) {
    for (Person.Coming coming : fated.comings()) {
      Program program = run.world().programs().get(coming.program());
      Optional<Trigger> by =
          coming.trigger() < 0
              ? Optional.empty()
              : Optional.of(program.journey().triggers().get(coming.trigger()));
      if (by.isEmpty()) {
        all.add(new Happening.PutIn(coming.at(), program.name()));
      } else if (!(by.get() instanceof Trigger.Buys)
          && !(by.get() instanceof Trigger.EventArrives)) {
        all.add(new Happening.Came(coming.at(), program.name(), by.get()));
      }
    }
    for (int n = 0; n < fated.purchases().size(); n++) {
      all.add(order(fated.purchases(), n, Optional.empty()));
    }
    for (int n = 0; n < fated.events().size(); n++) {
      all.add(
          new Happening.EventArrived(
              fated.events().at(n),
              "event " + n,
              run.world().event(fated.events().what(n)),
              fated.payload(n)));
    }
  }

  private Happening order(Happenings purchases, int n, Optional<MessageRef> because) {
    List<Line> lines =
        purchases.what(n) < 0
            ? List.of()
            : List.of(
                new Line(product(purchases.what(n)).name(), 1, new Money(purchases.cents(n))));
    return new Happening.Ordered(
        purchases.at(n), because + " order " + n, lines, new Money(purchases.cents(n)), because);
  }

  private Product product(int number) {
    return run.world().products().get(number);
  }

  /** Whether a step of a journey did it, which the machine does by itself. */
  public static boolean unsubscribedByStep(Program program, List<Turn> turns, long at) {
    return turns.stream()
        .filter(turn -> turn.journey() == program.number() && turn.at() == at && turn.step() >= 0)
        .map(turn -> program.steps().get(turn.step()))
        .anyMatch(
            step ->
                step instanceof Step.Change change
                    && change.changes().contains(new RecordChange.Unsubscribe()));
  }

  private void add(Visit visit) {
    for (int n = 0; n < visit.sends(); n++) {
      Sent sent = visit.sentInOrder(n);
      Step.Send step = visit.program().sends().get(sent.send());
      MessageRef message = new MessageRef(visit.program().name(), visit.number(), step.id());
      if (sent.bouncedAt() != Person.NEVER) {
        boolean forGood = person.bouncesAt() == sent.bouncedAt() && !sent.text();
        all.add(new Happening.Bounced(sent.bouncedAt(), message, forGood));
      }
      if (sent.deliveredAt() != Person.NEVER) {
        all.add(new Happening.Delivered(sent.deliveredAt(), message));
      }
      if (sent.recordedOpenAt() != Person.NEVER) {
        all.add(new Happening.OpenRecorded(sent.recordedOpenAt(), message));
      }
      if (sent.peopleOpenAt() != Person.NEVER) {
        all.add(new Happening.Opened(sent.peopleOpenAt(), message));
      }
      if (sent.clickAt() != Person.NEVER) {
        all.add(new Happening.Clicked(sent.clickAt(), message, link(sent)));
      }
      if (sent.orderAt() != Person.NEVER) {
        all.add(
            order(person.purchases(), purchaseAt(person, sent.orderAt()), Optional.of(message)));
      }
    }
  }

  private static Optional<LinkName> link(Sent sent) {
    return sent.clickedLink() < 0
        ? Optional.empty()
        : Optional.of(
            sent.visit()
                .program()
                .messages(sent.send())
                .get(sent.variant())
                .links()
                .get(sent.clickedLink()));
  }

  private static int purchaseAt(Person person, long at) {
    for (int n = 0; n < person.purchases().size(); n++) {
      if (person.purchases().at(n) == at) {
        return n;
      }
    }
    throw new IllegalStateException("nothing was bought at " + at);
  }
}
