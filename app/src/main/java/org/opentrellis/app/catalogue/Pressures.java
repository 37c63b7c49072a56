package org.opentrellis.app.catalogue;

import java.util.Optional;
import org.opentrellis.app.account.EnoughChanged;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Pressure;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How much mail the account finds enough for one person. */
@Service
@Transactional
public class Pressures {
  private final PressureMapper mapper;
  private final Revisions revisions;
  private final ApplicationEventPublisher events;

  Pressures(PressureMapper mapper, Revisions revisions, ApplicationEventPublisher events) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.events = events;
  }

  /**
   * As it is now.
   *
   * @param pressure empty if nothing is too much
   */
  public record Now(Optional<Pressure> pressure, int version) {}

  @Transactional(readOnly = true)
  public Now now() {
    PressureRow row = mapper.current();
    return new Now(row.pressure(), row.version());
  }

  /**
   * It holds at once, for dry runs and for those inside of journeys.
   *
   * @param version that was looked at
   * @throws SaveLost if somebody else has set it since
   */
  public Now set(Optional<Pressure> pressure, int version) {
    revisions.hold();
    if (mapper.set(pressure.map(Json::write).orElse(null), version) == 0) {
      throw new SaveLost("Somebody else has set this since you opened it.", now(), version);
    }
    revisions.grow(Revisions.Kind.CATALOGUE);
    events.publishEvent(new PressureChanged(pressure));
    return now();
  }

  /** The account has one number only. */
  @EventListener
  void follow(EnoughChanged change) {
    int emailsPerWeek = change.emailsPerWeek();
    Now now = now();
    now.pressure()
        .filter(one -> one.emailsPerWeek() != emailsPerWeek)
        .ifPresent(one -> set(Optional.of(one.of(emailsPerWeek)), now.version()));
  }
}
