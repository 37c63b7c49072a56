package org.opentrellis.app.journeys;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.sentence.JourneyDifference;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every save of every journey. */
@Service
@Transactional
class Versions {
  /** Saves of one hand that follow each other as quickly are told as one. */
  private static final Duration ONE_SITTING = Duration.ofMinutes(10);

  private final VersionMapper mapper;
  private final Journeys journeys;
  private final Catalogues catalogues;

  Versions(VersionMapper mapper, Journeys journeys, Catalogues catalogues) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /** The last version of each sitting and all that have a name, newest first. */
  List<VersionView> all(long journey) {
    journeys.find(journey);
    List<VersionView> views = new ArrayList<>();
    @Nullable VersionRow last = null;
    int saves = 0;
    for (VersionRow row : mapper.all(journey)) {
      if (last != null && !sameSitting(row, last)) {
        views.add(view(last, saves));
        saves = 0;
      }
      last = saves == 0 ? row : last;
      saves++;
    }
    if (last != null) {
      views.add(view(last, saves));
    }
    return views;
  }

  private static boolean sameSitting(VersionRow older, VersionRow newer) {
    return older.name() == null
        && Objects.equals(older.savedBy(), newer.savedBy())
        && older.savedAt().plus(ONE_SITTING).isAfter(newer.savedAt());
  }

  private static VersionView view(VersionRow row, int saves) {
    return new VersionView(row.version(), row.savedAt(), saves, row.savedBy(), row.name());
  }

  /**
   * @throws NotFound if there is no such version
   */
  VersionView.WholeVersion find(long journey, int version) {
    Journey now = journeys.find(journey).journey();
    VersionRow row = row(journey, version);
    Catalogue catalogue = catalogues.current();
    Journey then = Documents.readKeptJourney(row.document(), catalogue);
    return new VersionView.WholeVersion(
        version, Documents.write(then), JourneyDifference.between(then, now, catalogue));
  }

  private VersionRow row(long journey, int version) {
    return mapper.find(journey, version).orElseThrow(() -> NotFound.of("version", version));
  }

  /**
   * Gives a version a name, or takes it away.
   *
   * @throws ProblemsFound if the name is too long
   */
  void rename(long journey, int version, @Nullable String name) {
    String given = name == null || name.isBlank() ? null : GivenName.of("A version", name, "/name");
    if (mapper.rename(journey, version, given) == 0) {
      row(journey, version);
    }
  }
}
