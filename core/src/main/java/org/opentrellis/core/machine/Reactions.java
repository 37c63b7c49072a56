package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.List;

/**
 * Which journeys start when something happens to a person: what they do in one journey may bring
 * them into another.
 */
final class Reactions {

  /** Puts a person at a journey's door if the right thing has happened. */
  private record Start(int program, int trigger) {}

  private record OnMark(int mark, Start start) {}

  private record OnPurchase(Question.Bought what, Start start) {}

  private record OnEvent(int event, Start start) {}

  /**
   * @param link the number of the link, or -1 for any
   */
  private record OnMessage(int message, boolean click, int link, Start start) {}

  private record OnSegment(Question segment, Start start) {}

  private final List<OnMark> onMark = new ArrayList<>();
  private final List<OnPurchase> onPurchase = new ArrayList<>();
  private final List<OnEvent> onEvent = new ArrayList<>();
  private final List<OnMessage> onMessage = new ArrayList<>();
  private final List<OnSegment> onSegment = new ArrayList<>();

  void mark(int mark, int program, int trigger) {
    onMark.add(new OnMark(mark, new Start(program, trigger)));
  }

  void purchase(Question.Bought what, int program, int trigger) {
    onPurchase.add(new OnPurchase(what, new Start(program, trigger)));
  }

  void event(int event, int program, int trigger) {
    onEvent.add(new OnEvent(event, new Start(program, trigger)));
  }

  void message(int message, boolean click, int link, int program, int trigger) {
    onMessage.add(new OnMessage(message, click, link, new Start(program, trigger)));
  }

  void segment(Question segment, int program, int trigger) {
    onSegment.add(new OnSegment(segment, new Start(program, trigger)));
  }

  void toMark(Person person, int mark, long at) {
    for (int i = 0; i < onMark.size(); i++) {
      OnMark one = onMark.get(i);
      if (one.mark == mark) {
        come(person, one.start, at);
      }
    }
  }

  void toPurchase(Person person, long at, int offer, long cents) {
    for (int i = 0; i < onPurchase.size(); i++) {
      OnPurchase one = onPurchase.get(i);
      boolean right = one.what.offers() == null || offer >= 0 && one.what.offers().get(offer);
      if (right && cents >= one.what.leastCents()) {
        come(person, one.start, at);
      }
    }
  }

  void toEvent(Person person, long at, int event) {
    for (int i = 0; i < onEvent.size(); i++) {
      OnEvent one = onEvent.get(i);
      if (one.event == event) {
        come(person, one.start, at);
      }
    }
  }

  boolean toMessages() {
    return !onMessage.isEmpty();
  }

  void toOpen(Person person, int message, long at) {
    for (int i = 0; i < onMessage.size(); i++) {
      OnMessage one = onMessage.get(i);
      if (one.message == message && !one.click) {
        come(person, one.start, at);
      }
    }
  }

  void toClick(Person person, int message, int link, long at) {
    for (int i = 0; i < onMessage.size(); i++) {
      OnMessage one = onMessage.get(i);
      if (one.message == message && one.click && (one.link < 0 || one.link == link)) {
        come(person, one.start, at);
      }
    }
  }

  boolean toSegments() {
    return !onSegment.isEmpty();
  }

  /** Which segments a person is in now, as a set of bits; there are at most 64. */
  long segments(Visit visit) {
    long in = 0;
    for (int i = 0; i < onSegment.size(); i++) {
      in |= onSegment.get(i).segment.holds(visit, visit.now) ? 1L << i : 0;
    }
    return in;
  }

  void toSegments(Person person, long before, long after, long at) {
    for (int i = 0; i < onSegment.size(); i++) {
      if ((after & ~before & 1L << i) != 0) {
        come(person, onSegment.get(i).start, at);
      }
    }
  }

  private static void come(Person person, Start start, long at) {
    person.comes(start.program, start.trigger, at);
  }
}
