package org.opentrellis.core.format;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.TagName;

/** Reads changes of a person's record. */
final class ChangeReader {
  private final Reading reading;

  ChangeReader(Reading reading) {
    this.reading = reading;
  }

  Optional<RecordChange> read(ChangeDocument given, String place) {
    if (given instanceof ChangeDocument.AddTag add) {
      return tag(add.tag(), place).map(RecordChange.AddTag::new);
    }
    if (given instanceof ChangeDocument.RemoveTag remove) {
      return tag(remove.tag(), place).map(RecordChange.RemoveTag::new);
    }
    if (given instanceof ChangeDocument.JoinList join) {
      return list(join.list(), place + "/list").map(RecordChange.JoinList::new);
    }
    if (given instanceof ChangeDocument.LeaveList leave) {
      return list(leave.list(), place + "/list").map(RecordChange.LeaveList::new);
    }
    if (given instanceof ChangeDocument.CopyToList copy) {
      return list(copy.list(), place + "/list").map(RecordChange.CopyToList::new);
    }
    ChangeDocument.MoveToList move = (ChangeDocument.MoveToList) given;
    Optional<ListName> to = list(move.list(), place + "/list");
    List<ListName> from = reading.list(place + "/from", move.from(), this::list);
    return to.flatMap(
        t -> reading.value(place + "/from", () -> new RecordChange.MoveToList(t, from)));
  }

  private Optional<TagName> tag(@Nullable String given, String place) {
    return reading.required(place + "/tag", given, TagName::new);
  }

  private Optional<ListName> list(@Nullable String given, String place) {
    return reading.required(place, given, ListName::new);
  }
}
