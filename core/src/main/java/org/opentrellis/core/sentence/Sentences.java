package org.opentrellis.core.sentence;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.calendar.Amount;
import org.opentrellis.core.calendar.SendWindow;
import org.opentrellis.core.journey.Arm;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LeaveRule;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.journey.ReEntry;
import org.opentrellis.core.journey.SecondaryGoal;
import org.opentrellis.core.journey.SplitArm;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.journey.Variant;

/** Says the parts of one journey in words that can be read aloud, or typed and read back. */
public final class Sentences {
  private final Journey journey;
  private final Library library;
  private final Style style;
  private final ConditionWords conditions;

  private Sentences(Journey journey, Library library, Style style) {
    this.journey = journey;
    this.library = library;
    this.style = style;
    this.conditions = new ConditionWords(library, style);
  }

  /**
   * To be read aloud.
   *
   * @param catalogue what the journey refers to, for the names
   */
  public Sentences(Journey journey, Catalogue catalogue) {
    this(journey, new Library(Strands.expand(journey, catalogue), catalogue), Style.SPOKEN);
  }

  /** Of no journey: what is said of people in the words of conditions. */
  public static Sentences ofPeople(Catalogue catalogue) {
    return new Sentences(Journey.empty("Nowhere", Purpose.OTHER), catalogue);
  }

  /** The same with everything said and names in quotation marks, so that it can be read back. */
  public Sentences typed() {
    return new Sentences(journey, library, Style.TYPED);
  }

  /** What ids are called. */
  public Library library() {
    return library;
  }

  /** How people come in: the line above the steps. */
  public Phrase opening() {
    Phrase phrase = ifThey(trigger());
    boolean says = style == Style.TYPED || !journey.triggers().isEmpty();
    return says ? phrase.and(", ").and(TriggerWords.say(journey.reEntry())) : phrase;
  }

  /**
   * How something is done with whoever comes in, as a sentence that goes on: "When someone gets tag
   * x"; that it is done every time goes without saying.
   */
  public Phrase whenever() {
    Phrase phrase = ifThey(Phrase.plain("When someone ").and(Phrase.join(triggers(), " or ")));
    return journey.reEntry() instanceof ReEntry.EveryTime
        ? phrase
        : phrase.and(", ").and(TriggerWords.say(journey.reEntry()));
  }

  private Phrase ifThey(Phrase phrase) {
    return journey
        .entryFilter()
        .map(who -> phrase.and(", if they ").and(condition(who)))
        .orElse(phrase);
  }

  /** What the journey is for: the line below the steps. */
  public Phrase goal() {
    if (journey.goal().isEmpty()) {
      return Phrase.plain("No goal yet");
    }
    Goal goal = journey.goal().get();
    return Phrase.plain("Goal: ")
        .and(condition(goal.what()))
        .and(" within ")
        .andStrong(TimeWords.days(goal.withinDays()))
        .and(", ")
        .and(goal.leaveWhenMet() ? "leave when met" : "go on when met");
  }

  /** What else it is for. */
  public Phrase secondaryGoal(SecondaryGoal goal) {
    return Phrase.plain("Secondary goal: ")
        .and(condition(goal.what()))
        .and(" within ")
        .andStrong(TimeWords.days(goal.withinDays()));
  }

  /** People leave as soon as it holds, and may change over into another journey. */
  public Phrase leaveWhen(LeaveRule rule) {
    Phrase leave = Phrase.plain("Leave as soon as they ").and(condition(rule.when()));
    return rule.into().map(to -> leave.and(", into ").and(style.name(to.value()))).orElse(leave);
  }

  /** When messages may go out. */
  public Phrase sendWindow(SendWindow window) {
    return Phrase.plain("Send only ").andStrong(window.inWords());
  }

  /** Whose clock the journey's times are read on. */
  public Phrase zone(ZoneId zone) {
    return Phrase.plain("All times are in ").andStrong(zone.getId());
  }

  /** Who the emails come from. */
  public Phrase sender(String sender) {
    return Phrase.plain("From ").and(style.name(sender));
  }

  /** How many emails are enough. */
  public Phrase guard(FrequencyGuard guard) {
    String most = guard.most() == 1 ? "1 email" : guard.most() + " emails";
    most += guard.countsTexts() ? " and texts" : "";
    return Phrase.plain("At most ")
        .andStrong(most + " in " + TimeWords.days(guard.days()))
        .and(" from all journeys; one too many ")
        .and(guard.then() == FrequencyGuard.Then.HOLD ? "waits" : "is skipped");
  }

  /** What brings people in. */
  public Phrase trigger() {
    if (journey.triggers().isEmpty()) {
      return Phrase.plain("No trigger yet: nobody enters by themselves");
    }
    return Phrase.plain("Starts when someone ").and(Phrase.join(triggers(), " or "));
  }

  /** Each thing that brings people in, as it follows "someone". */
  public List<Phrase> triggers() {
    TriggerWords words = new TriggerWords(library, style);
    return journey.triggers().stream().map(words::say).toList();
  }

  /** What a step does. */
  public Phrase step(Step step) {
    return switch (step) {
      case Step.SendEmail send -> email(send);
      case Step.SendText send -> options(Phrase.plain("Text ").and(message(send)), send);
      case Step.Wait wait -> new TimeWords(conditions, style).say(wait.rule());
      case Step.Branch branch -> branch(branch);
      case Step.SplitTest split -> {
        List<String> shares = split.arms().stream().map(arm -> percent(arm.percent())).toList();
        yield Phrase.plain("Split by lot ").andStrong(String.join(" / ", shares));
      }
      case Step.Change change ->
          Phrase.join(change.changes().stream().map(new ChangeWords(style)::say).toList(), ", ")
              .capitalised();
      case Step.Include include ->
          Phrase.plain("Go through strand ")
              .andStrong(
                  style == Style.TYPED
                      ? library.strand(include.strand())
                      : library.nameOf(include.strand()));
      case Step.HandOver over ->
          Phrase.plain("Hand over to journey ")
              .and(style.name(over.journey().value()))
              .and(over.thenFinish() ? ", and finish here" : ", and go on here");
      case Step.Notify notify -> notice(notify.notice());
      case Step.Finish finish -> Phrase.plain("Finish the journey");
    };
  }

  private Phrase message(Step.Send send) {
    return Phrase.strong(
        style == Style.TYPED ? library.message(send.message()) : library.nameOf(send));
  }

  private Phrase email(Step.SendEmail send) {
    if (send.variants().isEmpty()) {
      return options(Phrase.plain("Send ").and(message(send)), send);
    }
    List<Phrase> all = new ArrayList<>();
    for (Variant variant : send.variants()) {
      String name =
          style == Style.TYPED
              ? library.message(variant.message())
              : library.nameOf(variant.message());
      String subject = variant.subject().map(s -> ", " + Style.quoted(s)).orElse("");
      all.add(Phrase.strong(name + subject).and(" to " + percent(variant.percent())));
    }
    return options(Phrase.plain("Send by lot ").and(Phrase.join(all, " or ")), send);
  }

  private Phrase options(Phrase phrase, Step.Send send) {
    Phrase said = phrase;
    if (style == Style.TYPED && send instanceof Step.SendEmail email) {
      said = quoted(said, ", subject ", email.subject());
      said = quoted(said, ", preview ", email.preview());
      said = quoted(said, ", from ", email.sender());
    }
    if (send.onlyIf().isPresent()) {
      said = said.and(", only if they ").and(condition(send.onlyIf().get()));
    }
    if (send.window().isPresent()) {
      said = said.and(", sent only ").andStrong(send.window().get().inWords());
    }
    if (send.oncePerPerson()) {
      said = said.and(", once per person");
    }
    if (send instanceof Step.SendEmail email) {
      said = email.untracked() ? said.and(", opens not tracked") : said;
      boolean parameters = style == Style.TYPED && email.linkParameters();
      said = parameters ? said.and(", with campaign parameters") : said;
    }
    return said;
  }

  private static Phrase quoted(Phrase phrase, String before, Optional<String> text) {
    return text.map(words -> phrase.and(before).andStrong(Style.quoted(words))).orElse(phrase);
  }

  private Phrase notice(Notice notice) {
    return switch (notice) {
      case Notice.Teammate mate ->
          Phrase.plain("Tell ")
              .and(style.name(mate.to()))
              .and(": ")
              .andStrong(Style.quoted(mate.text()));
      case Notice.WebAddress web -> Phrase.plain("Tell ").and(style.name(web.url()));
    };
  }

  private Phrase branch(Step.Branch branch) {
    Phrase phrase = Phrase.plain("Branch");
    if (style == Style.TYPED) {
      List<Phrase> asked = branch.arms().stream().map(arm -> condition(arm.condition())).toList();
      phrase = phrase.and(" on ").and(Phrase.join(asked, ", else on "));
    } else if (branch.arms().size() == 1) {
      phrase = phrase.and(" on ").and(condition(branch.arms().get(0).condition()));
    } else {
      phrase = phrase.and(" into ").andStrong(branch.ways().size() + " arms");
    }
    return branch.waitUpTo().isEmpty()
        ? phrase
        : phrase.and(", waiting up to ").andStrong(branch.waitUpTo().map(Amount::inWords).get());
  }

  /** Who takes a way through a step. */
  public Phrase way(Step.Parting step, StepId way) {
    Phrase who = who(step, way);
    boolean empty =
        step.ways().stream().anyMatch(one -> one.id().equals(way) && one.steps().isEmpty());
    return empty ? who.and(": straight on to what follows") : who;
  }

  /** The question or the share that a way can be given by; empty for otherwise. */
  public Optional<Phrase> asked(Step.Parting step, StepId way) {
    return switch (step) {
      case Step.Branch branch -> arm(branch, way).map(arm -> condition(arm.condition()));
      case Step.SplitTest split ->
          arm(split, way).map(arm -> Phrase.strong(percent(arm.percent())));
    };
  }

  private Phrase who(Step.Parting step, StepId way) {
    return switch (step) {
      case Step.SplitTest split ->
          arm(split, way)
              .map(arm -> Phrase.strong(percent(arm.percent())).and(" of them"))
              .orElseThrow();
      case Step.Branch branch ->
          arm(branch, way)
              .map(
                  arm ->
                      branch.arms().size() == 1
                          ? Phrase.plain("if so")
                          : condition(arm.condition()))
              .orElse(Phrase.plain("otherwise"));
    };
  }

  private static Optional<Arm> arm(Step.Branch branch, StepId id) {
    return branch.arms().stream().filter(arm -> arm.id().equals(id)).findFirst();
  }

  private static Optional<SplitArm> arm(Step.SplitTest split, StepId id) {
    return split.arms().stream().filter(arm -> arm.id().equals(id)).findFirst();
  }

  /** A step in a word or two, for where there is no room for its sentence. */
  public String brief(Step step) {
    return switch (step) {
      case Step.Send send -> library.nameOf(send);
      case Step.Branch branch ->
          branch.arms().size() == 1
              ? ConditionWords.briefly(branch.arms().get(0).condition()) + "?"
              : branch.ways().size() + " arms";
      case Step.SplitTest splitTest -> "split test";
      case Step.Include include -> library.nameOf(include.strand());
      case Step.HandOver over -> "to " + over.journey();
      case Step.Notify notify ->
          notify.notice() instanceof Notice.Teammate mate ? "tell " + mate.to() : "tell";
      case Step.Wait wait -> step(wait).text();
      case Step.Change change -> step(change).text();
      case Step.Finish finish -> "finish";
    };
  }

  /** A condition, as it follows "who" or "branch on". */
  public Phrase condition(Condition condition) {
    return conditions.say(condition);
  }

  private static String percent(double percent) {
    return ConditionWords.number(percent) + "%";
  }
}
