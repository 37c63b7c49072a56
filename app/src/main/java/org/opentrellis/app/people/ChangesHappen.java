package org.opentrellis.app.people;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.people.Mailing;

/** Changes of records as what happened to people. */
final class ChangesHappen {
  private ChangesHappen() {}

  /** To each of them, in order. */
  static Map<Long, List<Happening>> of(List<ChangeRow> changes, long at) {
    Map<Long, List<Happening>> all = new LinkedHashMap<>();
    for (ChangeRow change : changes) {
      of(change, at)
          .ifPresent(
              one -> all.computeIfAbsent(change.personId(), none -> new ArrayList<>()).add(one));
    }
    return all;
  }

  private static Optional<Happening> of(ChangeRow change, long at) {
    return switch (change.what()) {
      case LABEL -> Optional.of(label(change, at));
      case FIELD ->
          Optional.of(
              new Happening.FieldChanged(
                  at,
                  new FieldName(Objects.requireNonNull(change.name())),
                  Optional.ofNullable(change.afterValue())
                      .map(value -> ValueRow.decoded("", value).operand())));
      case MAILING -> Optional.of(mailing(change, at));
      case TEXTS ->
          Optional.of(
              Boolean.parseBoolean(change.afterValue())
                  ? new Happening.ConsentGiven(at, Channel.TEXT)
                  : new Happening.ConsentWithdrawn(at, Channel.TEXT, Optional.empty()));
      case ZONE ->
          Optional.of(
              new Happening.Moved(at, ZoneId.of(Objects.requireNonNull(change.afterValue()))));
      case FIRST_NAME, LAST_NAME, PHONE, HOW_OFTEN -> Optional.empty();
    };
  }

  private static Happening label(ChangeRow change, long at) {
    String name = Objects.requireNonNull(change.name());
    if (change.kind() == NameKind.LIST) {
      ListName list = new ListName(name);
      return change.there() ? new Happening.Joined(at, list) : new Happening.LeftList(at, list);
    }
    TagName tag = new TagName(name);
    return change.there() ? new Happening.Tagged(at, tag) : new Happening.Untagged(at, tag);
  }

  private static Happening mailing(ChangeRow change, long at) {
    return switch (Mailing.valueOf(Objects.requireNonNull(change.afterValue()))) {
      case MAY_BE_MAILED -> new Happening.ConsentGiven(at, Channel.EMAIL);
      case COMPLAINED -> new Happening.Complained(at);
      case NOT_CONFIRMED, UNSUBSCRIBED, BOUNCED ->
          new Happening.ConsentWithdrawn(at, Channel.EMAIL, Optional.empty());
    };
  }
}
