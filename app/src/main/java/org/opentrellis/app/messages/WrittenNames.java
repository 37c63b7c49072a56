package org.opentrellis.app.messages;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.revisions.Revisions;
import org.opentrellis.app.revisions.Snapshot;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.reading.KnownNames;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The names that stand in messages; those that are put away do not count. */
@Component
@Transactional(readOnly = true)
public class WrittenNames {
  private final MessageMapper mapper;
  private final Revisions revisions;
  private final Snapshot<Map<String, Held>> snapshot = new Snapshot<>();

  /** What a version of a message holds. */
  private record Held(String message, int version, KnownNames names) {}

  WrittenNames(MessageMapper mapper, Revisions revisions) {
    this.mapper = mapper;
    this.revisions = revisions;
  }

  public KnownNames all() {
    return KnownNames.of(held().values().stream().map(Held::names).toList());
  }

  /** A message that uses a name. */
  public record User(String id, String name) {}

  /** The messages that use a name, by their own. */
  public List<User> using(Name name) {
    return held().entrySet().stream()
        .filter(one -> one.getValue().names().has(name))
        .map(one -> new User(one.getKey(), one.getValue().message()))
        .sorted(Comparator.comparing(User::name))
        .toList();
  }

  private Map<String, Held> held() {
    return revisions.see(Revisions.Kind.CATALOGUE, snapshot, this::renewed);
  }

  private Map<String, Held> renewed(@Nullable Map<String, Held> last) {
    Map<String, Held> all = new LinkedHashMap<>();
    for (MessageRow row : mapper.all()) {
      Held before = last == null ? null : last.get(row.id());
      if (row.archivedAt() == null) {
        all.put(
            row.id(),
            before != null && before.version() == row.version() ? before : read(row.id()));
      }
    }
    return all;
  }

  private Held read(String id) {
    MessageRow row = mapper.find(id).orElseThrow();
    return new Held(
        row.name(), row.version(), KnownNames.in(List.of(MessageRows.written(row).manuscript())));
  }
}
