package org.opentrellis.app.visitors;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.app.live.CrowdDraw;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.people.Guests;
import org.opentrellis.app.people.PersonForgotten;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.crowd.Errands;
import org.opentrellis.core.crowd.Newcomers;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Leads;
import org.opentrellis.core.journey.Purpose;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.Style;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets simulated people come by themselves, and tells how far they are. */
@Service
@Transactional
public class VisitorCrowds {
  private static final int MOST = 1_000;
  private static final int HORIZON_DAYS = 400;
  private static final int CROWDS = 20;

  private final VisitorMapper mapper;
  private final Entrances entrances;
  private final Ways ways;
  private final CrowdDraw draw;
  private final RegisteredNames names;
  private final MailRoute route;

  VisitorCrowds(
      VisitorMapper mapper,
      Entrances entrances,
      Ways ways,
      CrowdDraw draw,
      RegisteredNames names,
      MailRoute route) {
    this.mapper = mapper;
    this.entrances = entrances;
    this.ways = ways;
    this.draw = draw;
    this.names = names;
    this.route = route;
  }

  @Transactional(readOnly = true)
  VisitorsView view() {
    List<CrowdDraw.OpenPlan> journeys =
        draw.open().stream().filter(one -> one.plan().purpose() != Purpose.NEWSLETTER).toList();
    return new VisitorsView(
        entrances.open().stream().map(one -> ways.door(one, journeys)).toList(),
        mapper.crowds(CROWDS).stream().map(this::crowd).toList());
  }

  private VisitorsView.VisitorCrowd crowd(VisitorMapper.CrowdRow row) {
    return new VisitorsView.VisitorCrowd(
        row.id(),
        entrances.nameOf(row.entranceId()),
        row.people(),
        row.came(),
        row.errands(),
        row.next(),
        row.failed(),
        row.said());
  }

  /**
   * Has people come.
   *
   * @throws ProblemsFound if they cannot come so
   */
  VisitorsView come(VisitorOrder order) {
    come(order, run(order, HORIZON_DAYS));
    return view();
  }

  /** The dry run whose people come. */
  DryRun run(VisitorOrder order, int horizonDays) {
    OpenEntrance open = check(order);
    Newcomers newcomers = ways.newcomers(open.entrance());
    List<CrowdDraw.OpenPlan> all = draw.open();
    List<CrowdDraw.OpenPlan> chosen =
        all.stream().filter(one -> order.journeys().contains(one.journey())).toList();
    for (CrowdDraw.OpenPlan one : chosen) {
      if (newcomers.entering(one.plan()).triggers().isEmpty()) {
        throw ProblemsFound.badValue(
            "/journeys",
            "Whoever fills in %s does not come into %s."
                .formatted(Style.quoted(open.entrance().name().value()), Style.quoted(one.name())));
      }
    }
    Set<JourneyName> entered = new HashSet<>();
    chosen.forEach(one -> entered.add(one.plan().journeyName()));
    return draw.of(
        order.coming(reached(order.journeys(), all)),
        horizonDays,
        new CrowdDraw.Others(
            plan -> entered.contains(plan.journeyName()) ? newcomers.entering(plan) : plan,
            newcomers::behaving));
  }

  /** Some journeys, and those that they lead people into. */
  private static List<Long> reached(List<Long> from, List<CrowdDraw.OpenPlan> all) {
    List<Long> reached = new ArrayList<>(from);
    for (int i = 0; i < reached.size(); i++) {
      long number = reached.get(i);
      all.stream()
          .filter(one -> one.journey() == number)
          .map(CrowdDraw.OpenPlan::plan)
          .forEach(plan -> addLed(plan, all, reached));
    }
    return reached;
  }

  private static void addLed(Journey from, List<CrowdDraw.OpenPlan> all, List<Long> reached) {
    all.stream()
        .filter(one -> Leads.leads(from, one.plan()) && !reached.contains(one.journey()))
        .forEach(one -> reached.add(one.journey()));
  }

  private OpenEntrance check(VisitorOrder order) {
    route
        .leavesTo()
        .ifPresent(
            to -> {
              throw ProblemsFound.badValue(
                  "", "Mail leaves this machine, to %s, so nobody simulated comes.".formatted(to));
            });
    if (order.people() < 1 || order.people() > MOST) {
      throw ProblemsFound.badValue(
          "/people", "By a form 1 to %,d people come at once.".formatted(MOST));
    }
    if (order.confirm() < 1 || order.confirm() > 100) {
      throw ProblemsFound.badValue("/confirm", "Of a hundred people 1 to 100 confirm.");
    }
    OpenEntrance open =
        entrances
            .open(order.entrance())
            .orElseThrow(() -> ProblemsFound.badValue("/entrance", "Choose a form that is on."));
    boolean phone =
        open.entrance().asks().stream()
            .anyMatch(asked -> asked instanceof Asked.Phone && asked.required());
    if (phone) {
      throw ProblemsFound.badValue(
          "/entrance",
          "This form has everybody give a phone number, which nobody simulated has: choose another, or ask for it without requiring it.");
    }
    return open;
  }

  /** Those of a dry run; returns the number of the crowd. */
  long come(VisitorOrder order, DryRun run) {
    OpenEntrance open = check(order);
    Filling form = new Filling(open.entrance(), names.fields());
    boolean confirms = open.entrance().confirms();
    NewKey crowd = new NewKey();
    mapper.insertCrowd(open.id(), crowd);
    SplittableRandom random = new SplittableRandom(order.seed());
    for (int n = 0; n < order.people(); n++) {
      String first = Guests.FIRST_NAMES.get(random.nextInt(Guests.FIRST_NAMES.size()));
      String last = Guests.LAST_NAMES.get(random.nextInt(Guests.LAST_NAMES.size()));
      String address =
          "%s.v%d.%d@crowd.test".formatted(first.toLowerCase(Locale.ROOT), crowd.id(), n + 1);
      Rehearsal rehearsal = Rehearsal.of(run, n);
      Map<String, String> typed = form.of(address, first, last, rehearsal.begun().fields());
      NewKey visitor = new NewKey();
      mapper.insert(crowd.id(), address, Json.write(typed), visitor);
      boolean comesIn = !confirms || random.nextInt(100) < order.confirm();
      List<ErrandRow> errands =
          Errands.of(run, n, rehearsal, confirms).stream()
              .limit(comesIn ? Long.MAX_VALUE : 1)
              .map(errand -> ErrandRow.of(visitor.id(), errand))
              .toList();
      mapper.insertErrands(errands);
    }
    return crowd.id();
  }

  /** Nobody of a crowd comes any more; those who have come go on. */
  VisitorsView stop(long crowd) {
    mapper.stop(crowd);
    return view();
  }

  @EventListener
  void follow(PersonForgotten forgotten) {
    mapper.forget(forgotten.address());
  }
}
