package org.opentrellis.core.machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.Operand;

/**
 * Which journeys start when something happens to a person: what they do in one journey may bring
 * them into another. If it brings them into several, they enter in the order of the journeys'
 * names, so that it does not matter in which order a world was compiled. Immutable once made.
 */
final class Reactions {

  /** Puts a person at a journey's door if the right thing has happened. */
  private record Start<E>(E on, Program program, int trigger) {
    void comes(Person person, long at) {
      person.comes(program.number(), trigger, at);
    }
  }

  private final List<Start<Entrance.OnLabel>> onLabel = new ArrayList<>();
  private final List<Start<Entrance.OnForm>> onForm = new ArrayList<>();
  private final List<Start<Entrance.OnSegment>> onSegment = new ArrayList<>();
  private final List<Start<Entrance.OnOpen>> onOpen = new ArrayList<>();
  private final List<Start<Entrance.OnClick>> onClick = new ArrayList<>();
  private final List<Start<Entrance.OnCart>> onCart = new ArrayList<>();
  private final List<Start<Entrance.OnPurchase>> onPurchase = new ArrayList<>();
  private final List<Start<Entrance.OnEvent>> onEvent = new ArrayList<>();

  Reactions(List<Program> programs) {
    List<Program> byName = new ArrayList<>(programs);
    byName.sort(Comparator.comparing(program -> program.name().value()));
    for (Program program : byName) {
      Entrance[] entrances = program.entrances();
      for (int trigger = 0; trigger < entrances.length; trigger++) {
        add(entrances[trigger], program, trigger);
      }
    }
  }

  private void add(Entrance entrance, Program program, int trigger) {
    switch (entrance) {
      case Entrance.OnLabel on -> onLabel.add(new Start<>(on, program, trigger));
      case Entrance.OnForm on -> onForm.add(new Start<>(on, program, trigger));
      case Entrance.OnSegment on -> onSegment.add(new Start<>(on, program, trigger));
      case Entrance.OnOpen on -> onOpen.add(new Start<>(on, program, trigger));
      case Entrance.OnClick on -> onClick.add(new Start<>(on, program, trigger));
      case Entrance.OnCart on -> onCart.add(new Start<>(on, program, trigger));
      case Entrance.OnPurchase on -> onPurchase.add(new Start<>(on, program, trigger));
      case Entrance.OnEvent on -> onEvent.add(new Start<>(on, program, trigger));
      case Entrance.OnDate on -> {}
      case Entrance.OnHandOver on -> {}
      case Entrance.ByHand on -> {}
    }
  }

  void toLabel(Person person, int label, long at) {
    for (int i = 0; i < onLabel.size(); i++) {
      if (onLabel.get(i).on.label() == label) {
        onLabel.get(i).comes(person, at);
      }
    }
  }

  void toForm(Person person, FormName form, long at) {
    for (Start<Entrance.OnForm> one : onForm) {
      if (one.on.form().map(form::equals).orElse(true)) {
        one.comes(person, at);
      }
    }
  }

  /** Whoever leaves a cart comes some time after its last change, if it still is left then. */
  void toCart(Person person, long changedAt) {
    for (Start<Entrance.OnCart> one : onCart) {
      person.entries.add(
          one.program.number(), one.trigger, -1, changedAt + one.on.seconds(), changedAt);
    }
  }

  void toPurchase(Person person, long at, int offer, long cents) {
    for (int i = 0; i < onPurchase.size(); i++) {
      if (onPurchase.get(i).on.what().fits(offer, cents)) {
        onPurchase.get(i).comes(person, at);
      }
    }
  }

  void toOrder(Person person, long at, int[] offers, long cents) {
    for (Start<Entrance.OnPurchase> one : onPurchase) {
      for (int offer : offers) {
        if (one.on.what().fits(offer, cents)) {
          one.comes(person, at);
          break;
        }
      }
    }
  }

  void toEvent(Person person, long at, int event, Map<AttributeName, Operand> payload) {
    for (int i = 0; i < onEvent.size(); i++) {
      if (onEvent.get(i).on.which().fits(event, payload, person, person.clock, at)) {
        onEvent.get(i).comes(person, at);
      }
    }
  }

  boolean toMessages() {
    return !onOpen.isEmpty() || !onClick.isEmpty();
  }

  void toOpen(Person person, int message, long at) {
    for (int i = 0; i < onOpen.size(); i++) {
      if (onOpen.get(i).on.message() == message) {
        onOpen.get(i).comes(person, at);
      }
    }
  }

  void toClick(Person person, int message, int link, long at) {
    for (int i = 0; i < onClick.size(); i++) {
      Entrance.OnClick on = onClick.get(i).on;
      if (on.message() == message && (on.link() < 0 || on.link() == link)) {
        onClick.get(i).comes(person, at);
      }
    }
  }

  boolean toSegments() {
    return !onSegment.isEmpty();
  }

  int segmentCount() {
    return onSegment.size();
  }

  Entrance.OnSegment segment(int n) {
    return onSegment.get(n).on;
  }

  Program programOfSegment(int n) {
    return onSegment.get(n).program;
  }

  void toSegment(Person person, int n, long at) {
    onSegment.get(n).comes(person, at);
  }

  /** The kinds of evidence that the segments depend on. */
  int watched() {
    return onSegment.stream().mapToInt(one -> one.on.who().about()).reduce(0, (a, b) -> a | b);
  }
}
