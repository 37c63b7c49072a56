package org.opentrellis.app.visitors;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.core.entrance.Asked;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.entrance.Then;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.springframework.transaction.support.TransactionTemplate;

/** Forms by which people come in, for tests. */
public final class Forms {
  private Forms() {}

  /**
   * Opens one.
   *
   * @param list that it puts people on, if any
   * @param tag that it gives them, if any
   * @param field that it asks instead of the first name, if any
   */
  public static OpenEntrance open(
      RunningApplication app,
      String name,
      boolean confirms,
      @Nullable String list,
      @Nullable String tag,
      @Nullable String field) {
    Entrance entrance =
        new Entrance(
            new FormName(name),
            name,
            field == null
                ? List.of(new Asked.FirstName(true))
                : List.of(new Asked.Field(new FieldName(field), "", true)),
            "Sign up",
            "Ambercomb sends me news.",
            confirms,
            Optional.ofNullable(list).map(ListName::new).stream().toList(),
            Optional.ofNullable(tag).map(TagName::new).stream().toList(),
            new Then.Words("Thank you."),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    Entrances entrances = app.bean(Entrances.class);
    app.bean(TransactionTemplate.class).executeWithoutResult(status -> entrances.keep(entrance));
    return entrances.open().stream()
        .filter(one -> one.entrance().name().value().equals(name))
        .findFirst()
        .orElseThrow();
  }
}
