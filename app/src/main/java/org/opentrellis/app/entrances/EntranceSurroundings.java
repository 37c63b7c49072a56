package org.opentrellis.app.entrances;

import java.util.List;
import java.util.Optional;
import org.opentrellis.app.files.KeptFiles;
import org.opentrellis.app.letters.PartsPages;
import org.opentrellis.app.people.JourneyDoors;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.EntranceChecks;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.MessageId;
import org.springframework.stereotype.Component;

/** The account around an entrance. */
@Component
class EntranceSurroundings implements EntranceChecks.Surroundings {
  private final JourneyDoors doors;
  private final PartsPages parts;
  private final KeptFiles files;

  EntranceSurroundings(JourneyDoors doors, PartsPages parts, KeptFiles files) {
    this.doors = doors;
    this.parts = parts;
    this.files = files;
  }

  @Override
  public List<EntranceChecks.Started> started(Entrance entrance) {
    return doors.enteredBy(entrance.name(), entrance.labels()).stream()
        .map(one -> new EntranceChecks.Started(one.journey(), one.by(), one.mailsAtOnce()))
        .toList();
  }

  @Override
  public Optional<String> fault(MessageId page) {
    return parts.fault(page);
  }

  @Override
  public boolean isKept(FileName file) {
    return files.find(file).isPresent();
  }
}
