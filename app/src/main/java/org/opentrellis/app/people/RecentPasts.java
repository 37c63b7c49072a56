package org.opentrellis.app.people;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.rule.RecentPast;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people's records tell of the last days. */
@Service
@Transactional(readOnly = true)
public class RecentPasts {
  private final RecentMapper mapper;
  private final ArrivalMapper labels;
  private final Standings standings;

  RecentPasts(RecentMapper mapper, ArrivalMapper labels, Standings standings) {
    this.mapper = mapper;
    this.labels = labels;
    this.standings = standings;
  }

  /**
   * To whom something happened that may be what some triggers wait for, as far as records tell.
   *
   * @param from after which moment, in epoch seconds
   */
  public Set<Long> touched(List<Trigger> triggers, long from) {
    Set<Long> people = new TreeSet<>();
    for (Trigger trigger : triggers) {
      people.addAll(
          switch (trigger) {
            case Trigger.JoinsList joins -> mapper.labelled("LIST", joins.list().value(), from);
            case Trigger.GetsTag gets -> mapper.labelled("TAG", gets.tag().value(), from);
            case Trigger.Buys buys -> mapper.bought(from);
            case Trigger.LeavesCart leaves -> mapper.carts(from);
            case Trigger.EventArrives event -> mapper.heard(event.event().value(), from);
            case Trigger.SubmitsForm submits -> List.<Long>of();
            case Trigger.EntersSegment enters -> List.<Long>of();
            case Trigger.OpensMessage opens -> List.<Long>of();
            case Trigger.ClicksMessage clicks -> List.<Long>of();
            case Trigger.DateComes comes -> List.<Long>of();
            case Trigger.OnDate on -> List.<Long>of();
            case Trigger.HandedOver over -> List.<Long>of();
            case Trigger.PutIn in -> List.<Long>of();
          });
    }
    return people;
  }

  /**
   * @param otherwise what the record does not tell
   */
  public RecentPast of(long person, List<Happening> otherwise, long from) {
    List<RecentPast.Carried> carried =
        labels.labels(new Long[] {person}).stream()
            .map(row -> new RecentPast.Carried(row.label(), row.since(), row.until()))
            .toList();
    return RecentPast.of(standings.of(person), carried, otherwise, from);
  }
}
