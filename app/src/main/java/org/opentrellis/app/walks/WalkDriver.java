package org.opentrellis.app.walks;

import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.story.Story;
import org.opentrellis.core.story.StoryLine;
import org.opentrellis.core.walk.Choices;
import org.opentrellis.core.walk.Reply;
import org.opentrellis.core.walk.Turn;
import org.opentrellis.core.walk.Walk;

/** Takes one person through a journey, as far as choices have been made. */
final class WalkDriver implements Choices {
  private static final long SEED = 2026;
  private static final int HORIZON_DAYS = 400;
  private static final long CLICK_SECONDS = 120;
  private static final long BUY_SECONDS = 3600;
  private static final long ORDER_CENTS = 5_000;

  private final WalkOrder.Walker walker;
  private final Catalogue catalogue;
  private final DryRun people;
  private final Outside model;
  private final Program program;
  private int asked;
  private int open = -1;
  private long openAt = Person.NEVER;
  private @Nullable Message openMessage;

  /**
   * @param behaviour with the group of the walker
   */
  WalkDriver(Journey journey, Catalogue catalogue, Behaviour behaviour, WalkOrder.Walker walker) {
    this.walker = walker;
    this.catalogue = catalogue;
    AudienceGroup group = behaviour.groups().get(walker.group());
    Behaviour only = behaviour.edit().groups(List.of(alone(group))).done();
    Instant start = walker.start().atZone(group.zone()).toInstant();
    people =
        new DryRun(journey, catalogue, only, CohortSettings.of(1_000, SEED, start, HORIZON_DAYS));
    model = people.outside();
    program = people.world().programs().get(0);
  }

  /** The same people as all there are. */
  private static AudienceGroup alone(AudienceGroup group) {
    return group.edit().share(1).done();
  }

  WalkView go() {
    Instant start = people.settings().start();
    Person person = people.comer(walker.number(), start);
    walker.tags().forEach(tag -> mark(person, people.world().label(new TagName(tag))));
    walker.lists().forEach(list -> mark(person, people.world().label(new ListName(list))));
    person.agreesToTexts(walker.agreesToTexts());
    Walk walk = new Walk(person, this, model);
    walk.goOn(person.endsAt());
    walk.close();
    List<Turn> turns = decided(walk.diary().turns());
    List<StoryLine> lines = Story.of(program, person, turns, catalogue, openAt);
    return new WalkView(lines, ask(lines), route(turns), open < 0 ? end(lines) : null);
  }

  private static void mark(Person person, java.util.OptionalInt mark) {
    mark.ifPresent(number -> person.carries(number));
  }

  private WalkView.@Nullable WalkAsk ask(List<StoryLine> lines) {
    if (open < 0 || openMessage == null) {
      return null;
    }
    String step = program.sends().get(open).id().value();
    String when = lines.get(lines.size() - 1).when();
    return new WalkView.WalkAsk(
        step, openMessage.name(), when, openMessage.links().stream().map(LinkName::value).toList());
  }

  /** Nothing behind the message that is asked about is told: it has not been decided. */
  private List<Turn> decided(List<Turn> turns) {
    for (int i = 0; open >= 0 && i < turns.size(); i++) {
      Turn turn = turns.get(i);
      boolean asked =
          turn.kind() == Turn.Kind.SENT
              && program.steps().get(turn.step()) == program.sends().get(open);
      if (asked && turn.at() == openAt) {
        return turns.subList(0, i + 1);
      }
    }
    return turns;
  }

  private List<String> route(List<Turn> turns) {
    Set<String> route = new LinkedHashSet<>();
    for (Turn turn : turns) {
      Step step = turn.step() < 0 ? null : program.steps().get(turn.step());
      if (step != null && turn.kind() == Turn.Kind.GOT_TO) {
        route.add(step.id().value());
      } else if (step != null && turn.kind() == Turn.Kind.TOOK) {
        route.add(step.ways().get(turn.detail()).id().value());
      }
    }
    return List.copyOf(route);
  }

  private static String end(List<StoryLine> lines) {
    return lines.stream()
        .filter(line -> line.kind() == StoryLine.Kind.END)
        .reduce((one, later) -> later)
        .map(StoryLine::sentence)
        .orElse("Is still inside when nothing more is looked at.");
  }

  @Override
  public @Nullable Reply to(int send, Visit visit) {
    String step = program.sends().get(send).id().value();
    if (open >= 0) {
      return Reply.ignores();
    }
    int place = asked++;
    if (place < walker.choices().size() && walker.choices().get(place).step().equals(step)) {
      return reply(walker.choices().get(place), visit, send);
    }
    if (walker.modelDecides()) {
      return null;
    }
    open = send;
    openAt = visit.now();
    openMessage = program.messages(send).get(visit.sent(send).variant());
    return Reply.ignores();
  }

  private static @Nullable Reply reply(WalkOrder.WalkChoice choice, Visit visit, int send) {
    long opened = Math.max(1, Math.round(choice.hours() * 3600));
    OptionalLong never = OptionalLong.empty();
    OptionalLong open = OptionalLong.of(opened);
    OptionalLong click = OptionalLong.of(opened + CLICK_SECONDS);
    return switch (choice.does()) {
      case MODEL -> null;
      case IGNORE -> Reply.ignores();
      case OPEN -> Reply.opens(opened);
      case UNSUBSCRIBE ->
          new Reply(true, false, never, open, never, -1, click, never, never, -1, 0);
      case CLICK ->
          new Reply(true, false, never, open, click, choice.link(), never, never, never, -1, 0);
      case BUY ->
          new Reply(
              true,
              false,
              never,
              open,
              click,
              choice.link(),
              never,
              never,
              OptionalLong.of(opened + CLICK_SECONDS + BUY_SECONDS),
              -1,
              ORDER_CENTS);
      case BOUNCE -> new Reply(false, false, never, never, never, -1, never, never, never, -1, 0);
    };
  }

  @Override
  public int lot(int step, int ways, Visit visit) {
    Integer chosen = walker.lots().get(program.steps().get(step).id().value());
    if (chosen != null && chosen >= 0 && chosen < ways) {
      return chosen;
    }
    double[] upTo = new double[ways];
    double sum = 0;
    for (int i = 0; i < ways; i++) {
      sum += share(program.steps().get(step), i, ways);
      upTo[i] = sum;
    }
    upTo[ways - 1] = 1;
    return model.lot(step, upTo, visit);
  }

  private static double share(Step step, int way, int ways) {
    List<Double> percents = step.lots();
    double total = percents.stream().mapToDouble(Double::doubleValue).sum();
    return total > 0 ? percents.get(way) / total : 1.0 / ways;
  }
}
