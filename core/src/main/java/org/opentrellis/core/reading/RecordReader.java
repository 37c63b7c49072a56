package org.opentrellis.core.reading;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.Operator;
import org.opentrellis.core.journey.SegmentName;
import org.opentrellis.core.journey.TagName;

/** Reads what a person's record says: "have tag buyer", "are on list Members". */
final class RecordReader {
  private final Cursor cursor;
  private final Scope scope;
  private final ComparisonReader comparisons;
  private final PurchaseReader purchases;

  RecordReader(Cursor cursor, Scope scope) {
    this.cursor = cursor;
    this.scope = scope;
    this.comparisons = new ComparisonReader(cursor, scope);
    this.purchases = new PurchaseReader(cursor, scope);
  }

  /** Null if nothing of the kind stands here. */
  @Nullable Condition read() {
    Condition tagged = tagged();
    if (tagged != null) {
      return tagged;
    }
    if (cursor.any("have in the cart", "(have|has) (in (the|their)|left in the) (cart|basket)")) {
      return new Condition.InCart(purchases.read());
    }
    Condition member = member();
    return member == null ? compared() : member;
  }

  private @Nullable Condition tagged() {
    if (cursor.any("have no tag", "(have|has) no tag|no tag")) {
      return ConditionReader.not(new Condition.HasTag(tag()));
    }
    if (cursor.any("have never had tag", "((have|has) )?never had (the )?tag")) {
      return ConditionReader.not(new Condition.HadTag(tag()));
    }
    if (cursor.any("have ever had tag", "((have|has) )?ever had (the )?tag")) {
      return new Condition.HadTag(tag());
    }
    boolean has =
        cursor.any(
            "have tag",
            "(have|has|carry|carries)( got)? (the |a )?tag( of| called)?",
            "((are|is) )?tagged( with| as)?",
            "tag");
    return has ? new Condition.HasTag(tag()) : null;
  }

  private @Nullable Condition member() {
    if (cursor.any("are not on list", "is not on list|not on list")) {
      return ConditionReader.not(new Condition.OnList(list()));
    }
    if (cursor.any(
        "are on list",
        "((are|is) )?(still |already )?(on|in|members? of|subscribed to) (the |our )?(mailing )?list")) {
      return new Condition.OnList(list());
    }
    if (cursor.any("are not in segment", "is not in segment|not in segment")) {
      return ConditionReader.not(new Condition.InSegment(segment()));
    }
    if (cursor.any(
        "are in segment", "((are|is) )?(in|part of) (the )?segment|belongs? to (the )?segment")) {
      return new Condition.InSegment(segment());
    }
    if (cursor.any("are not now within", "is not now within")) {
      return ConditionReader.not(new Condition.IsNow(scope.times(cursor).window()));
    }
    if (cursor.any("are now within", "is now within|now within")) {
      return new Condition.IsNow(scope.times(cursor).window());
    }
    return onNamed();
  }

  /** "Are on Members", "are on the Members list": which kind of thing is said behind, or known. */
  private @Nullable Condition onNamed() {
    int here = cursor.end();
    if (!cursor.says("((are|is) )?(still |already )?on( the| our)?")) {
      return null;
    }
    int from = cursor.at();
    try {
      String name =
          cursor.name(
              "list",
              scope.names(ListName.class),
              Stream.concat(Stream.of("list"), Stream.of(ConditionReader.FOLLOWERS))
                  .toArray(String[]::new));
      boolean known = scope.names(ListName.class).contains(name);
      if (cursor.says("(mailing )?list") || known) {
        return cursor.meaning(from, () -> new Condition.OnList(new ListName(name)));
      }
    } catch (NotUnderstood noName) {
      // then nothing of the kind stands here
    }
    cursor.back(here);
    return null;
  }

  private @Nullable Condition compared() {
    if (cursor.any("do not have field", "does not have field")) {
      return ConditionReader.not(field());
    }
    if (cursor.any("have field", "(has|with) (the )?field|(the )?field")) {
      return field();
    }
    int here = cursor.end();
    if (cursor.says("their|whose")) {
      return field();
    }
    cursor.says("have|has|the");
    if (scope.names(FieldName.class).stream().anyMatch(this::isCompared)) {
      return field();
    }
    cursor.back(here);
    return null;
  }

  /** Whether a field stands here, and what it is compared with. */
  private boolean isCompared(String field) {
    int here = cursor.end();
    boolean compared = cursor.silently(field) && cursor.sees("is|equals|contains|starts|=");
    cursor.back(here);
    return compared;
  }

  private Condition field() {
    int from = cursor.at();
    String name = cursor.name("field", scope.names(FieldName.class), ComparisonReader.BEGINNINGS);
    Operator is = comparisons.operator();
    List<Operand> values = comparisons.values(is);
    return cursor.meaning(from, () -> new Condition.Field(new FieldName(name), is, values));
  }

  private TagName tag() {
    return named("tag", TagName.class, TagName::new);
  }

  private ListName list() {
    return named("list", ListName.class, ListName::new);
  }

  private SegmentName segment() {
    return named("segment", SegmentName.class, SegmentName::new);
  }

  private <T extends Name> T named(String what, Class<T> kind, Function<String, T> make) {
    return scope.named(cursor, what, kind, make, ConditionReader.FOLLOWERS);
  }
}
