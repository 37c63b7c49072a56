package org.opentrellis.core.story;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.walk.Turn;

/** Tells what happened to one person in one journey, in the order of time. */
public final class Story {
  private final Program program;
  private final Person person;
  private final List<Turn> turns;
  private final Sentences sentences;
  private final Moments moments;
  private final Reasons reasons;
  private final List<StoryLine> lines = new ArrayList<>();

  private Story(Program program, Person person, List<Turn> turns, Catalogue catalogue) {
    this.program = program;
    this.person = person;
    this.turns = turns.stream().filter(turn -> turn.journey() == program.number()).toList();
    this.sentences = new Sentences(program.journey(), catalogue);
    this.moments = new Moments(person.clock().zone());
    this.reasons = new Reasons(program, sentences, moments);
  }

  /**
   * @param turns the person's diary so far
   * @param until the last epoch second that is told
   */
  public static List<StoryLine> of(
      Program program, Person person, List<Turn> turns, Catalogue catalogue, long until) {
    Story story = new Story(program, person, turns, catalogue);
    story.tell();
    return story.lines.stream()
        .filter(line -> line.at() <= until)
        .sorted(Comparator.comparingLong(StoryLine::at))
        .toList();
  }

  private void tell() {
    person.visits().stream().filter(visit -> visit.program() == program).forEach(this::whatTheyDo);
    for (int i = 0; i < turns.size(); i++) {
      tell(turns.get(i), i);
    }
  }

  private void say(long at, @Nullable Step step, StoryLine.Kind kind, String sentence) {
    String row = step == null ? null : step.id().value();
    lines.add(new StoryLine(at, moments.say(at), row, kind, sentence));
  }

  private void tell(Turn turn, int place) {
    @Nullable Step step = turn.step() < 0 ? null : program.steps().get(turn.step());
    long at = turn.at();
    switch (turn.kind()) {
      case ENTERED_JOURNEY -> say(at, null, StoryLine.Kind.ENTRY, "Comes in. " + starts());
      case KEPT_OUT_BY_FILTER -> say(at, null, StoryLine.Kind.END, "Is kept out. " + starts());
      case MAY_NOT_ENTER_AGAIN ->
          say(at, null, StoryLine.Kind.END, "Comes again and may not enter again.");
      case GOT_TO -> got(step, at, place);
      case HELD ->
          say(at, step, StoryLine.Kind.STEP, "Was held until messages may go out to them.");
      case SENT -> say(at, step, StoryLine.Kind.STEP, sent((Step.Send) step, turn));
      case SKIPPED ->
          say(
              at,
              step,
              StoryLine.Kind.TURN,
              reasons.skipped(SkipReason.values()[turn.detail()], (Step.Send) step));
      case TOOK -> say(at, step, StoryLine.Kind.TURN, took((Step.Parting) step, turn));
      case WENT_ON -> wentOn(step, at);
      case LEFT ->
          say(at, step, StoryLine.Kind.END, reasons.left(LeaveReason.values()[turn.detail()]));
      case FINISHED -> say(at, step, StoryLine.Kind.END, "Is through: the journey ends here.");
      case STILL_THERE -> {}
    }
  }

  private String starts() {
    return "The journey s" + sentences.opening().text().substring(1) + ".";
  }

  /** A wait says at once how long it takes. */
  private void got(@Nullable Step step, long at, int place) {
    if (!(step instanceof Step.Wait)) {
      return;
    }
    Optional<Turn> end =
        turns.subList(place + 1, turns.size()).stream()
            .filter(turn -> turn.step() == turns.get(place).step())
            .filter(turn -> turn.kind() != Turn.Kind.GOT_TO)
            .findFirst();
    String until =
        end.filter(turn -> turn.kind() == Turn.Kind.WENT_ON)
            .map(turn -> turn.at() > at ? ": until " + moments.say(turn.at()) : ": goes on at once")
            .orElse("");
    say(at, step, StoryLine.Kind.STEP, sentences.step(step).text() + until + ".");
  }

  private String sent(Step.Send send, Turn turn) {
    String which = send.channel() == Channel.TEXT ? "text" : "email";
    Message message = program.messages(program.sends().indexOf(send)).get(turn.detail());
    return "Gets the %s \u201c%s\u201d.".formatted(which, message.name());
  }

  private String took(Step.Parting step, Turn turn) {
    return switch (step) {
      case Step.Branch branch -> reasons.branch(branch, turn.detail(), visit(turn), turn.at());
      case Step.SplitTest split -> "The lot says arm " + (char) ('A' + turn.detail()) + ".";
    };
  }

  /** What has a sentence of its own already is not told again. */
  private void wentOn(@Nullable Step step, long at) {
    if (step != null && !isTold(step)) {
      say(at, step, StoryLine.Kind.STEP, sentences.step(step).text() + ".");
    }
  }

  private static boolean isTold(Step step) {
    return switch (step) {
      case Step.Send send -> true;
      case Step.Wait wait -> true;
      case Step.Branch branch -> true;
      case Step.SplitTest split -> true;
      case Step.Finish finish -> true;
      case Step.Change change -> false;
      case Step.Include include -> false;
      case Step.HandOver over -> false;
      case Step.Notify notify -> false;
    };
  }

  private Visit visit(Turn turn) {
    return person.visits().stream()
        .filter(one -> one.program() == program && one.number() == turn.visit())
        .findFirst()
        .orElseThrow();
  }

  private void whatTheyDo(Visit visit) {
    for (int n = 0; n < visit.sends(); n++) {
      Sent sent = visit.sentInOrder(n);
      Step.Send step = program.sends().get(sent.send());
      Message message = program.messages(sent.send()).get(sent.variant());
      String name = "\u201c" + message.name() + "\u201d";
      does(sent.bouncedAt(), step, name + " comes back.");
      does(sent.peopleOpenAt(), step, "Opens " + name + ".");
      if (sent.recordedOpenAt() < sent.peopleOpenAt()) {
        does(
            sent.recordedOpenAt(),
            step,
            "The mail app pre-loads " + name + ", which is recorded as an open.");
      }
      does(
          sent.clickAt(), step, "Clicks " + link(message, sent.clickedLink()) + "in " + name + ".");
      does(sent.orderAt(), step, "Buys, after " + name + ".");
    }
    does(person.unsubscribesAt(), null, "Unsubscribes.");
    does(person.complainsAt(), null, "Reports the mail as unwanted.");
  }

  private static String link(Message message, int link) {
    List<LinkName> links = message.links();
    return link >= 0 && link < links.size() ? "\u201c" + links.get(link) + "\u201d " : "";
  }

  private void does(long at, @Nullable Step step, String sentence) {
    if (at != Person.NEVER) {
      say(at, step, StoryLine.Kind.PERSON, sentence);
    }
  }
}
