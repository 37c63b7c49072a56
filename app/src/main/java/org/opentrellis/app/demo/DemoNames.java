package org.opentrellis.app.demo;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.names.NameEdit;
import org.opentrellis.app.names.NameKind;
import org.opentrellis.core.people.FieldType;

/** The names of Ambercomb, and what each is for. */
final class DemoNames {
  private DemoNames() {}

  static List<NameEdit> all() {
    return List.of(
        list("Newcomers", "Asked for the hive planner and are new to bees"),
        list("Members", "Pay a membership, for a year at a time"),
        list("Challenge", "Take part in Thirty days of bees"),
        list("Course places", "Have a place in a course"),
        list("Quiet", "Have not answered for a long time; get little"),
        list("Trade", "Buy for a shop of their own"),
        tag("new-keeper", "Where they stand"),
        tag("lapsed", "Where they stand"),
        tag("season-course", "What they read"),
        tag("season-reader", "What they read"),
        tag("market", "Where we met"),
        field("hives", FieldType.NUMBER, "How many they keep"),
        field("keeper since", FieldType.DATE, null),
        field("member until", FieldType.DATE, "When their membership ends"),
        field("challenges", FieldType.NUMBER, "How many they have finished"),
        field("last challenge", FieldType.DATE, null),
        name(NameKind.CATEGORY, "Hives", null),
        name(NameKind.CATEGORY, "Tools", null),
        name(NameKind.CATEGORY, "Membership", null),
        product("Hive kit", "Hives", 18_900),
        product("Feeder", "Tools", 2_450),
        product("Smoker", "Tools", 3_900),
        product("Membership", "Membership", 4_800));
  }

  private static NameEdit list(String name, String about) {
    return name(NameKind.LIST, name, about);
  }

  private static NameEdit name(NameKind kind, String name, @Nullable String about) {
    return new NameEdit(kind, name, about, null, null, List.of(), null, null);
  }

  private static NameEdit tag(String name, String group) {
    return new NameEdit(NameKind.TAG, name, null, group, null, List.of(), null, null);
  }

  private static NameEdit field(String name, FieldType type, @Nullable String about) {
    return new NameEdit(NameKind.FIELD, name, about, null, type, List.of(), null, null);
  }

  private static NameEdit product(String name, String category, long cents) {
    return new NameEdit(NameKind.PRODUCT, name, null, null, null, List.of(), category, cents);
  }
}
