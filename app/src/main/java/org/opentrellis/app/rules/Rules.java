package org.opentrellis.app.rules;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.http.TypedText;
import org.opentrellis.app.http.Unclear;
import org.opentrellis.app.journeys.JourneyKind;
import org.opentrellis.app.journeys.JourneyShelf;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.live.RulesActed;
import org.opentrellis.app.names.AllNames;
import org.opentrellis.app.rules.RuleViews.NewRule;
import org.opentrellis.app.rules.RuleViews.RuleMeant;
import org.opentrellis.app.rules.RuleViews.RuleReadingView;
import org.opentrellis.app.rules.RuleViews.RuleSave;
import org.opentrellis.app.rules.RuleViews.RuleView;
import org.opentrellis.app.rules.RuleViews.TypedRule;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.rule.RuleReading;
import org.opentrellis.core.rule.RuleSheet;
import org.opentrellis.core.rule.StandingRule;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The account's standing rules: typed, turned on and off, put away. */
@Service
@Transactional
public class Rules {
  private static final int LONGEST = 2_000;
  private static final String UNNAMED = "Rule";

  private final Journeys journeys;
  private final JourneyShelf shelf;
  private final RulesActed acted;
  private final AllNames names;
  private final Catalogues catalogues;
  private final Account account;
  private final AccountClock clock;

  Rules(
      Journeys journeys,
      JourneyShelf shelf,
      RulesActed acted,
      AllNames names,
      Catalogues catalogues,
      Account account,
      AccountClock clock) {
    this.journeys = journeys;
    this.shelf = shelf;
    this.acted = acted;
    this.names = names;
    this.catalogues = catalogues;
    this.account = account;
    this.clock = clock;
  }

  /** In order of the alphabet. */
  @Transactional(readOnly = true)
  List<RuleView> list() {
    List<Long> ids = journeys.namesOf(JourneyKind.RULE).stream().map(Journeys.Named::id).toList();
    Map<Long, RulesActed.Acted> times = acted.of(ids);
    Catalogue catalogue = catalogues.current();
    return ids.stream().map(id -> view(find(id), times.get(id), catalogue)).toList();
  }

  private RuleView view(long id) {
    return view(find(id), acted.of(List.of(id)).get(id), catalogues.current());
  }

  private static RuleView view(
      KeptJourney kept, RulesActed.@Nullable Acted acted, Catalogue catalogue) {
    StandingRule rule = StandingRule.of(kept.journey(), catalogue);
    return new RuleView(
        kept.id(),
        kept.version(),
        rule.name(),
        RuleSheet.spoken(rule, catalogue),
        RuleSheet.typed(rule, catalogue),
        isOn(kept),
        acted == null ? 0 : acted.times(),
        acted == null ? null : acted.lastAt());
  }

  private static boolean isOn(KeptJourney kept) {
    return kept.journey().state() == JourneyState.OPEN;
  }

  /** A typed rule, as it is understood; nothing is kept. */
  @Transactional(readOnly = true)
  RuleReadingView read(TypedRule typed) {
    TypedText.require(typed.text(), typed.caret(), LONGEST);
    Catalogue catalogue = catalogues.current();
    RuleReading reading = read(typed.text(), typed.caret(), catalogue);
    return switch (reading.result()) {
      case RuleReading.Understood understood ->
          new RuleReadingView(
              new RuleMeant(
                  RuleSheet.spoken(understood.rule(), catalogue),
                  RuleSheet.name(understood.rule(), catalogue),
                  understood.news()),
              null,
              reading.completions());
      case RuleReading.Unclear unclear ->
          new RuleReadingView(null, Unclear.of(unclear.refused()), reading.completions());
    };
  }

  private RuleReading read(String text, int caret, Catalogue catalogue) {
    return RuleReading.of(
        text,
        caret,
        catalogue,
        journeys.names().stream().map(Journeys.Named::name).toList(),
        names.known(),
        LocalDate.ofInstant(clock.instant(), account.zone()));
  }

  /**
   * The rule that a text says.
   *
   * @throws ProblemsFound if it is not understood
   */
  private StandingRule understood(String text, @Nullable String name) {
    TypedText.require(text, text.length(), LONGEST);
    Catalogue catalogue = catalogues.current();
    return switch (read(text, text.length(), catalogue).result()) {
      case RuleReading.Understood understood ->
          named(understood.rule(), name == null ? "" : name.strip(), catalogue);
      case RuleReading.Unclear unclear ->
          throw ProblemsFound.badValue("/text", unclear.refused().why());
    };
  }

  /** The same; it needs no name of its own yet. */
  @Transactional(readOnly = true)
  StandingRule understood(String text) {
    return understood(text, UNNAMED);
  }

  private StandingRule named(StandingRule rule, String name, Catalogue catalogue) {
    return name.isEmpty()
        ? rule.called(journeys.freeName(RuleSheet.name(rule, catalogue)))
        : ProblemsFound.within("/name", () -> rule.called(name));
  }

  /**
   * Keeps one; it does not act before it is turned on.
   *
   * @throws ProblemsFound if it is not understood
   * @throws NameTaken if something else is called so
   */
  RuleView add(NewRule given) {
    return view(keep(understood(given.text(), given.name())));
  }

  /** Keeps one under the name of what it does. */
  public void add(String text, boolean on) {
    long id = keep(understood(text, null));
    if (on) {
      turnOn(id);
    }
  }

  private long keep(StandingRule rule) {
    try {
      return journeys.add(JourneyKind.RULE, rule.journey(), journeys.usual());
    } catch (DuplicateKeyException taken) {
      throw NameTaken.of("journey or rule", rule.name(), "/name");
    }
  }

  /**
   * Changes one; if it is on, it acts by what it says now.
   *
   * @throws ProblemsFound if it is not understood, or leads people round in a circle
   * @throws SaveLost if somebody else has changed it since
   */
  RuleView save(long id, RuleSave save) {
    KeptJourney kept = find(id);
    if (kept.version() != save.version()) {
      throw new SaveLost(
          "Somebody else has changed this rule since you opened it.", view(id), save);
    }
    StandingRule rule = understood(save.text(), save.name());
    boolean on = isOn(kept);
    if (on) {
      turnOff(id);
    }
    journeys.become(id, rule.journey());
    if (on) {
      shelf.open(id);
    }
    return view(id);
  }

  /**
   * It acts from now on.
   *
   * @throws ProblemsFound if it leads people round in a circle, or names what is not there
   */
  RuleView turnOn(long id) {
    if (!isOn(find(id))) {
      shelf.open(id);
    }
    return view(id);
  }

  /** It acts no more. */
  RuleView turnOff(long id) {
    if (isOn(find(id))) {
      shelf.stop(id);
      shelf.plan(id);
    }
    return view(id);
  }

  /** Puts it away; what it has done stays done. */
  void putAway(long id) {
    turnOff(id);
    shelf.putAway(id);
  }

  /**
   * @throws NotFound if there is no rule of that number
   */
  KeptJourney find(long id) {
    if (journeys.namesOf(JourneyKind.RULE).stream().noneMatch(one -> one.id() == id)) {
      throw NotFound.of("rule", id);
    }
    return journeys.find(id);
  }
}
