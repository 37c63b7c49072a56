package org.opentrellis.app.entrances;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.http.FreeName;
import org.opentrellis.app.http.NameTaken;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.letters.PartsPages;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.storage.AgainIfTaken;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.EntranceChecks;
import org.opentrellis.core.entrance.EntranceFinding;
import org.opentrellis.core.entrance.EntranceSheet;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.problem.Severity;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** The account's entrances, as the workshop keeps them. */
@Service
@Transactional
public class Entrances {
  private static final int DAYS = 30;

  private final EntranceMapper mapper;
  private final RegisteredNames names;
  private final EntranceSurroundings surroundings;
  private final PartsPages parts;
  private final EntrancePages pages;
  private final EntranceWays ways;
  private final Account account;
  private final Clock clock;

  Entrances(
      EntranceMapper mapper,
      RegisteredNames names,
      EntranceSurroundings surroundings,
      PartsPages parts,
      EntrancePages pages,
      EntranceWays ways,
      Account account,
      Clock clock) {
    this.mapper = mapper;
    this.names = names;
    this.surroundings = surroundings;
    this.parts = parts;
    this.pages = pages;
    this.ways = ways;
    this.account = account;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  List<EntranceView> list() {
    Map<Long, List<EntranceMapper.DayRow>> days = days();
    return mapper.all().stream().map(row -> view(row, days)).toList();
  }

  /**
   * @throws NotFound if there is none of that number
   */
  @Transactional(readOnly = true)
  EntranceView view(long id) {
    return view(find(id), days());
  }

  /**
   * A code that leads phones to an entrance, to be printed.
   *
   * @throws NotFound if there is none of that number
   */
  @Transactional(readOnly = true)
  String code(long id) {
    return PrintedCode.of(ways.link(find(id)));
  }

  /**
   * Begins one, which is off until somebody turns it on.
   *
   * @throws ProblemsFound if it cannot be called so
   * @throws NameTaken if another is called so
   */
  @AgainIfTaken
  EntranceView add(String name) {
    FormName form;
    try {
      form = new FormName(name.strip());
    } catch (Refused refused) {
      throw ProblemsFound.refused("/name", refused);
    }
    free(form, -1, "/name");
    names.number(form);
    return insert(Entrance.begun(form));
  }

  /** Keeps one that people can come in by at once. */
  public void keep(Entrance entrance) {
    names.number(entrance.name());
    turn(insert(entrance).id(), true);
  }

  private EntranceView insert(Entrance entrance) {
    NewKey key = new NewKey();
    mapper.insert(
        Slugs.of(entrance.name().value(), slug -> mapper.bySlug(slug).isPresent()),
        Json.write(Documents.write(entrance)),
        OffsetDateTime.now(clock),
        key);
    return view(key.id());
  }

  private void free(FormName name, long but, String place) {
    mapper.all().stream()
        .filter(row -> row.id() != but)
        .filter(row -> row.entrance().name().value().equalsIgnoreCase(name.value()))
        .findFirst()
        .ifPresent(
            other -> {
              throw NameTaken.of("form", other.entrance().name().value(), place);
            });
  }

  /**
   * Keeps it as it was changed.
   *
   * @throws SaveLost if somebody else has changed it since
   * @throws ProblemsFound if something cannot be so
   */
  @AgainIfTaken
  EntranceView save(long id, EntranceDraft draft) {
    EntranceRow row = find(id);
    Entrance entrance =
        ProblemsFound.within("/entrance", () -> Documents.readEntrance(draft.entrance()));
    free(entrance.name(), id, "/entrance/name");
    if (row.on()) {
      requireRight(entrance);
    }
    names.number(entrance.name());
    entrance.lists().forEach(names::number);
    entrance.tags().forEach(names::number);
    if (mapper.save(id, draft.version(), Json.write(Documents.write(entrance))) == 0) {
      throw new SaveLost(
          "Somebody else has changed this entrance since you opened it.", view(id), draft);
    }
    return view(id);
  }

  /**
   * How an entrance would be, without keeping it.
   *
   * @throws ProblemsFound if something cannot be so
   */
  @Transactional(readOnly = true)
  EntranceLook look(JsonNode given) {
    Entrance entrance = ProblemsFound.within("/entrance", () -> Documents.readEntrance(given));
    return new EntranceLook(sheet(entrance), views(found(entrance)), pages.picture(entrance));
  }

  /**
   * Lets people in, or nobody any more.
   *
   * @throws Refusal if something is wrong that would leave people with nothing
   */
  EntranceView turn(long id, boolean on) {
    EntranceRow row = find(id);
    if (on) {
      requireRight(row.entrance());
    }
    mapper.turn(id, on);
    return view(id);
  }

  /** Those that people can come in by now. */
  @Transactional(readOnly = true)
  public List<OpenEntrance> open() {
    return mapper.all().stream().filter(EntranceRow::on).map(OpenEntrance::of).toList();
  }

  /** One of them, if it is. */
  @Transactional(readOnly = true)
  public Optional<OpenEntrance> open(long id) {
    return mapper.find(id).filter(EntranceRow::on).map(OpenEntrance::of);
  }

  /**
   * @throws NotFound if there is none of that number
   */
  @Transactional(readOnly = true)
  public String nameOf(long id) {
    return find(id).entrance().name().value();
  }

  private void requireRight(Entrance entrance) {
    found(entrance).stream()
        .filter(one -> one.severity() == Severity.ERROR)
        .findFirst()
        .ifPresent(
            error -> {
              throw new Refusal(HttpStatus.CONFLICT, error.code(), error.sentence(), null);
            });
  }

  /** A copy that is off, with a name of its own. */
  @AgainIfTaken
  EntranceView copy(long id) {
    Entrance of = find(id).entrance();
    List<String> taken = mapper.all().stream().map(row -> row.entrance().name().value()).toList();
    String name = FreeName.of(of.name().value(), taken);
    names.number(new FormName(name));
    return insert(of.called(new FormName(name)));
  }

  /**
   * @throws NotFound if there is none of that number
   */
  void delete(long id) {
    if (mapper.delete(id) == 0) {
      throw NotFound.of("entrance", id);
    }
  }

  private EntranceRow find(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("entrance", id));
  }

  private List<String> sheet(Entrance entrance) {
    return EntranceSheet.of(entrance, parts::called);
  }

  private List<EntranceFinding> found(Entrance entrance) {
    return EntranceChecks.of(entrance, surroundings);
  }

  private static List<EntranceLook.Found> views(List<EntranceFinding> found) {
    return found.stream().map(EntranceLook.Found::of).toList();
  }

  private EntranceView view(EntranceRow row, Map<Long, List<EntranceMapper.DayRow>> days) {
    Entrance entrance = row.entrance();
    List<String> starts =
        surroundings.started(entrance).stream().map(EntranceChecks.Started::journey).toList();
    List<EntranceMapper.DayRow> last = days.getOrDefault(row.id(), List.of());
    return new EntranceView(
        row.id(),
        "/e/" + row.slug(),
        ways.of(row),
        row.on(),
        row.version(),
        Documents.write(entrance),
        sheet(entrance),
        views(found(entrance)),
        starts,
        last.stream().mapToLong(EntranceMapper.DayRow::visits).sum(),
        last.stream().mapToLong(EntranceMapper.DayRow::signUps).sum(),
        last.stream()
            .map(day -> new EntranceView.EntranceDay(day.onDay(), day.visits(), day.signUps()))
            .toList(),
        today());
  }

  private LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), account.zone());
  }

  private Map<Long, List<EntranceMapper.DayRow>> days() {
    return mapper.days(today().minusDays(DAYS - 1)).stream()
        .collect(Collectors.groupingBy(EntranceMapper.DayRow::entranceId));
  }
}
