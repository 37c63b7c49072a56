package org.opentrellis.app.names;

import java.util.Optional;
import java.util.function.Function;
import org.opentrellis.core.journey.AttributeName;
import org.opentrellis.core.journey.CategoryName;
import org.opentrellis.core.journey.EventName;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.FormName;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.PartId;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.journey.StrandId;
import org.opentrellis.core.journey.TagName;

/** The kinds of names that an account has a register of. */
public enum NameKind {
  TAG("tag", TagName.class, TagName::new),
  LIST("list", ListName.class, ListName::new),
  FIELD("field", FieldName.class, FieldName::new),
  FORM("form", FormName.class, FormName::new),
  PRODUCT("product", ProductName.class, ProductName::new),
  CATEGORY("category", CategoryName.class, CategoryName::new),
  EVENT("event", EventName.class, EventName::new);

  private final String words;
  private final Class<? extends Name> type;
  private final Function<String, Name> reading;

  NameKind(String words, Class<? extends Name> type, Function<String, Name> reading) {
    this.words = words;
    this.type = type;
    this.reading = reading;
  }

  public String words() {
    return words;
  }

  /**
   * A name of this kind.
   *
   * @throws org.opentrellis.core.problem.Refused if there can be no such name
   */
  Name named(String value) {
    return reading.apply(value);
  }

  /** What such a name is in the core. */
  public Class<? extends Name> type() {
    return type;
  }

  /** Empty for names that stand elsewhere, with what they are the names of. */
  public static Optional<NameKind> of(Name name) {
    return Optional.ofNullable(
        switch (name) {
          case TagName tag -> TAG;
          case ListName list -> LIST;
          case FieldName field -> FIELD;
          case FormName form -> FORM;
          case ProductName product -> PRODUCT;
          case CategoryName category -> CATEGORY;
          case EventName event -> EVENT;
          case AttributeName attribute -> null;
          case JourneyName journey -> null;
          case LinkName link -> null;
          case MessageId message -> null;
          case SegmentName segment -> null;
          case StepId step -> null;
          case PartId part -> null;
          case FileName file -> null;
          case StrandId strand -> null;
        });
  }
}
