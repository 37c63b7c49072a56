package org.opentrellis.app.calibrations;

import java.io.Reader;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.calendar.Years;
import org.opentrellis.core.calibrate.Calibration;
import org.opentrellis.core.calibrate.Calibrator;
import org.opentrellis.core.calibrate.FitCheck;
import org.opentrellis.core.calibrate.SendRecord;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.HistoryCsv;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.Strands;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;

/** Fits a journey's assumptions to a history. */
@Service
class Calibrations {
  private final Journeys journeys;
  private final Catalogues catalogues;

  Calibrations(Journeys journeys, Catalogues catalogues) {
    this.journeys = journeys;
    this.catalogues = catalogues;
  }

  /**
   * @param seenUntil when the history was looked at; null for its last moment
   * @throws ProblemsFound if the file cannot be read, or says too little
   */
  CalibrationView fit(long id, Reader csv, @Nullable Instant seenUntil) {
    checkYear(seenUntil);
    KeptJourney kept = journeys.find(id);
    List<SendRecord> history = HistoryCsv.read(csv);
    if (history.isEmpty()) {
      throw ProblemsFound.badValue("", "The file has a header and no lines.");
    }
    Instant until =
        seenUntil != null
            ? seenUntil
            : history.stream().map(SendRecord::last).max(Comparator.naturalOrder()).orElseThrow();
    List<Step.Send> sends = Strands.expand(kept.journey(), catalogues.current()).sends();
    try {
      Calibration fitted = Calibrator.fit(history, until);
      Behaviour behaviour = fitted.into(kept.behaviour(), sends);
      List<String> unknown =
          fitted.messages().keySet().stream()
              .filter(name -> sends.stream().noneMatch(s -> s.message().value().equals(name)))
              .toList();
      return new CalibrationView(
          fitted.sentences(),
          FitCheck.of(history, behaviour, sends),
          unknown,
          Documents.write(behaviour));
    } catch (Refused tooLittle) {
      throw ProblemsFound.refused("", tooLittle);
    }
  }

  private static void checkYear(@Nullable Instant seenUntil) {
    try {
      if (seenUntil != null) {
        Years.withinReason(seenUntil);
      }
    } catch (Refused wrong) {
      throw ProblemsFound.refused("/until", wrong);
    }
  }
}
