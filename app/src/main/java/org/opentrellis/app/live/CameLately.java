package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Trigger;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Whom a trigger would have brought somewhere lately, for what people's records do not tell: forms,
 * opens and clicks stand in the log, dates are looked up.
 */
@Component
@Transactional(readOnly = true)
public class CameLately {
  private static final int NO_JOURNEY = 0;

  private final HappeningMapper log;
  private final LogReading reading;
  private final OpenJourneys open;
  private final Lookouts lookouts;

  CameLately(HappeningMapper log, LogReading reading, OpenJourneys open, Lookouts lookouts) {
    this.log = log;
    this.reading = reading;
    this.open = open;
    this.lookouts = lookouts;
  }

  /**
   * By person, as coming to a journey.
   *
   * @param from after which moment, in epoch seconds
   * @param until up to which one
   */
  public Map<Long, List<Happening>> of(Journey journey, long from, long until) {
    Map<Long, List<Happening>> came = new HashMap<>();
    for (Trigger trigger : journey.triggers()) {
      switch (trigger) {
        case Trigger.SubmitsForm submits ->
            log.toldBetween(List.of("FORM_SUBMITTED"), from, until)
                .forEach(row -> add(came, row.personId(), row.happening()));
        case Trigger.OpensMessage opens ->
            firstOpens(opens.message(), until).stream()
                .filter(row -> row.at() > from)
                .forEach(row -> comes(came, row, journey, trigger));
        case Trigger.ClicksMessage clicks ->
            sent(List.of("CLICKED"), clicks.message(), from, until).stream()
                .filter(row -> isOf(row, clicks))
                .forEach(row -> comes(came, row, journey, trigger));
        case Trigger.DateComes comes -> dated(came, journey, trigger, from, until);
        case Trigger.OnDate on -> dated(came, journey, trigger, from, until);
        case Trigger.JoinsList joins -> {}
        case Trigger.GetsTag gets -> {}
        case Trigger.EntersSegment enters -> {}
        case Trigger.LeavesCart leaves -> {}
        case Trigger.Buys buys -> {}
        case Trigger.EventArrives event -> {}
        case Trigger.HandedOver over -> {}
        case Trigger.PutIn in -> {}
      }
    }
    return came;
  }

  /** Who clicks has read it; reading it again brings nobody anywhere. */
  private Collection<HappeningRow> firstOpens(MessageId message, long until) {
    Map<List<Object>, HappeningRow> first = new LinkedHashMap<>();
    for (HappeningRow row : sent(List.of("OPENED", "CLICKED"), message, Long.MIN_VALUE, until)) {
      List<Object> mail = Arrays.asList(row.personId(), row.journeyId(), row.visit(), row.step());
      first.merge(mail, row, (one, other) -> one.at() <= other.at() ? one : other);
    }
    return first.values();
  }

  private List<HappeningRow> sent(List<String> kinds, MessageId message, long from, long until) {
    LogReading.Words words = reading.words();
    return log.toldBetween(kinds, from, until).stream()
        .filter(row -> isOf(row, message, words))
        .toList();
  }

  private static boolean isOf(HappeningRow row, MessageId message, LogReading.Words words) {
    Long journey = row.journeyId();
    return journey != null
        && words.program(journey, row.version()).journey().sends().stream()
            .filter(send -> send.id().value().equals(row.step()))
            .map(Step.Send::message)
            .anyMatch(message::equals);
  }

  private static boolean isOf(HappeningRow row, Trigger.ClicksMessage clicks) {
    return clicks.link().isEmpty()
        || row.document() != null
            && row.happening() instanceof Happening.Clicked clicked
            && clicked.link().equals(clicks.link());
  }

  private static void comes(
      Map<Long, List<Happening>> came, HappeningRow row, Journey journey, Trigger trigger) {
    add(came, row.personId(), new Happening.Came(row.at(), journey.journeyName(), trigger));
  }

  private void dated(
      Map<Long, List<Happening>> came, Journey journey, Trigger trigger, long from, long until) {
    OpenJourneys.Open as =
        new OpenJourneys.Open(
            NO_JOURNEY, from, List.of(trigger), open.catalogue(), false, Optional.empty());
    for (Lookouts.Moment moment : lookouts.ahead(as, from, until)) {
      Happening comes = new Happening.Came(moment.at(), journey.journeyName(), trigger);
      lookouts.whom(moment).forEach(person -> add(came, person, comes));
    }
  }

  private static void add(Map<Long, List<Happening>> came, long person, Happening one) {
    came.computeIfAbsent(person, none -> new ArrayList<>()).add(one);
  }
}
