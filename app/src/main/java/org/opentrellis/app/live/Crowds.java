package org.opentrellis.app.live;

import java.util.List;
import java.util.SplittableRandom;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.Guests;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets simulated people come into journeys that run: those whom a dry run of them draws. They are
 * added at once, and act while the clock goes on.
 */
@Service
@Transactional
public class Crowds {
  private static final int HORIZON_DAYS = 400;

  private final OpenJourneys open;
  private final CrowdDraw draw;
  private final Guests guests;
  private final GuestMapper mapper;
  private final LifeMapper lives;
  private final MailLeaves mail;
  private final AccountClock clock;

  Crowds(
      OpenJourneys open,
      CrowdDraw draw,
      Guests guests,
      GuestMapper mapper,
      LifeMapper lives,
      MailLeaves mail,
      AccountClock clock) {
    this.open = open;
    this.draw = draw;
    this.guests = guests;
    this.mapper = mapper;
    this.lives = lives;
    this.mail = mail;
    this.clock = clock;
  }

  /**
   * A crowd that comes.
   *
   * @param from the first moment at which one of them comes, in epoch seconds
   */
  public record CrowdView(int crowd, int people, long from) {}

  /**
   * @throws ProblemsFound if a journey is not open, or a number is out of range
   */
  public CrowdView come(CrowdOrder order) {
    return come(order, run(order, HORIZON_DAYS));
  }

  /** Those of a dry run. */
  CrowdView come(CrowdOrder order, DryRun run) {
    int crowd = mapper.crowds() + 1;
    long first = Long.MAX_VALUE;
    SplittableRandom random = new SplittableRandom(order.seed());
    for (int n = 0; n < order.people(); n++) {
      Rehearsal rehearsal = Rehearsal.of(run, n);
      add(rehearsal, crowd, n, random);
      first =
          Math.min(
              first,
              rehearsal.acts().stream().mapToLong(Happening::at).min().orElse(Long.MAX_VALUE));
    }
    return new CrowdView(crowd, order.people(), first == Long.MAX_VALUE ? clock.now() : first);
  }

  /** The dry run whose people come. */
  DryRun run(CrowdOrder order, int horizonDays) {
    mail.refuse("simulated people cannot come");
    return draw.of(order, horizonDays, CrowdDraw.AS_THEY_ARE);
  }

  private void add(Rehearsal rehearsal, int crowd, int n, SplittableRandom random) {
    PersonState is = rehearsal.begun();
    String first = Guests.FIRST_NAMES.get(random.nextInt(Guests.FIRST_NAMES.size()));
    String last = Guests.LAST_NAMES.get(random.nextInt(Guests.LAST_NAMES.size()));
    String address = "%s.%d.%d@crowd.test".formatted(first.toLowerCase(), crowd, n + 1);
    long id = guests.add(address, first, last, is, clock.now());
    mapper.insert(id, crowd);
    int edition = open.current().newest();
    String standing = LifeRow.written(new Life(edition, is));
    lives.insert(
        new LifeRow(
            id,
            random.nextLong(),
            standing,
            edition,
            standing,
            edition,
            0,
            is.coming().stream().map(PersonState.Coming::at).min(Long::compare).orElse(null)));
    List<GuestMapper.ActRow> acts =
        rehearsal.acts().stream()
            .map(
                act ->
                    new GuestMapper.ActRow(
                        id,
                        act.at(),
                        act instanceof Happening.Delivered || act instanceof Happening.Bounced,
                        Json.write(Documents.write(act))))
            .toList();
    if (!acts.isEmpty()) {
      mapper.insertActs(acts);
    }
    List<GuestMapper.LotRow> lots =
        rehearsal.lots().stream()
            .map(
                lot ->
                    new GuestMapper.LotRow(
                        id,
                        LiveNames.number(lot.journey()),
                        lot.visit(),
                        lot.step().value(),
                        lot.way()))
            .distinct()
            .toList();
    if (!lots.isEmpty()) {
      mapper.insertLots(lots);
    }
  }
}
