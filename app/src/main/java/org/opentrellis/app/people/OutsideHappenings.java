package org.opentrellis.app.people;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps carts, orders and events of people, as programs tell them, with their stories. */
@Service
@Transactional
public class OutsideHappenings {
  private final PeopleMapper mapper;
  private final RegisteredNames names;

  OutsideHappenings(PeopleMapper mapper, RegisteredNames names) {
    this.mapper = mapper;
    this.names = names;
  }

  /** The number of somebody, if they are there. */
  public Optional<Long> numberOf(String address) {
    return mapper.numberOf(TextKey.of(address));
  }

  /** Keeps what happened; only carts, orders and events are kept here. */
  public void keep(long person, Happening happening) {
    switch (happening) {
      case Happening.CartChanged cart -> cart(person, cart);
      case Happening.Ordered ordered -> order(person, ordered);
      case Happening.EventArrived event -> event(person, event);
      default -> {}
    }
  }

  /**
   * They answered a mail.
   *
   * @param words how the answer begins; empty if that is not known
   */
  public void answered(long person, long at, String words) {
    String said = words.isEmpty() ? "." : ": " + Style.quoted(words);
    tell(person, at, "ANSWERED", "Answered a mail" + said);
  }

  private void cart(long person, Happening.CartChanged cart) {
    long total = cents(cart.lines());
    if (cart.lines().isEmpty()) {
      mapper.insertCartLine(person, cart.at(), true, null, 0);
    }
    for (Line line : cart.lines()) {
      mapper.insertCartLine(person, cart.at(), false, names.number(line.product()), total);
    }
    tell(
        person,
        cart.at(),
        "CART",
        cart.lines().isEmpty()
            ? "Emptied the cart."
            : "Has things for %s in the cart.".formatted(new Money(total).inWords()));
  }

  private void order(long person, Happening.Ordered ordered) {
    if (ordered.lines().isEmpty()) {
      mapper.insertPurchase(person, ordered.at(), null, ordered.total().cents());
    }
    for (Line line : ordered.lines()) {
      mapper.insertPurchase(
          person, ordered.at(), names.number(line.product()), line.price().cents());
    }
    tell(
        person,
        ordered.at(),
        "BOUGHT",
        "Bought for %s, order %s."
            .formatted(ordered.total().inWords(), Style.quoted(ordered.order())));
  }

  private void event(long person, Happening.EventArrived event) {
    mapper.insertEvent(person, names.number(event.event()), event.at());
    long number = mapper.newestEvent(person);
    event
        .payload()
        .forEach(
            (attribute, value) -> {
              ValueRow says = ValueRow.of(attribute.value(), value);
              mapper.insertSays(number, says, says.wordsKey());
            });
    tell(
        person,
        event.at(),
        "EVENT",
        "Event %s arrived.".formatted(Style.quoted(event.event().value())));
  }

  private static long cents(List<Line> lines) {
    return lines.stream().mapToLong(line -> line.price().cents()).sum();
  }

  private void tell(long person, long at, String kind, String sentence) {
    mapper.insertHappening(person, at, kind, sentence, null);
  }
}
