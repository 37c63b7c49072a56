package org.opentrellis.app.visitors;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.live.CrowdDraw;
import org.opentrellis.core.crowd.Errands;
import org.opentrellis.core.crowd.Newcomers;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Component;

/** Knows which journeys whoever fills in a form can come into, and how. */
@Component
class Ways {
  private final Account account;

  Ways(Account account) {
    this.account = account;
  }

  /** Those who fill in a form. */
  Newcomers newcomers(Entrance entrance) {
    return new Newcomers(
        entrance.name(),
        entrance.asks().stream()
            .filter(Asked.Field.class::isInstance)
            .map(asked -> ((Asked.Field) asked).field())
            .collect(Collectors.toSet()),
        entrance.labels(),
        entrance.confirms(),
        account.zone());
  }

  /** A form, and the journeys behind it. */
  VisitorsView.VisitorDoor door(OpenEntrance open, List<CrowdDraw.OpenPlan> journeys) {
    Entrance entrance = open.entrance();
    Newcomers newcomers = newcomers(entrance);
    return new VisitorsView.VisitorDoor(
        open.id(),
        entrance.name().value(),
        entrance.confirms(),
        journeys.stream().flatMap(one -> way(one, newcomers).stream()).toList());
  }

  private static Optional<VisitorsView.VisitorWay> way(
      CrowdDraw.OpenPlan one, Newcomers newcomers) {
    List<Trigger> triggers = newcomers.entering(one.plan()).triggers();
    boolean byForm = triggers.stream().anyMatch(Errands::isByForm);
    return triggers.stream()
        .filter(trigger -> !byForm || Errands.isByForm(trigger))
        .findFirst()
        .map(
            trigger ->
                new VisitorsView.VisitorWay(one.journey(), one.name(), byForm, how(trigger)));
  }

  private static String how(Trigger trigger) {
    return switch (trigger) {
      case Trigger.DateComes comes ->
          "by the date in %s".formatted(Style.quoted(comes.field().value()));
      case Trigger.OnDate on -> "on its date";
      case Trigger.LeavesCart leaves -> "by leaving a cart";
      case Trigger.Buys buys -> "by buying";
      case Trigger.EventArrives arrives ->
          "by the event %s".formatted(Style.quoted(arrives.event().value()));
      default -> "by the form itself";
    };
  }
}
