package org.opentrellis.app.people;

/** What of a person can be changed. */
enum What {
  FIRST_NAME("First name", "first_name"),
  LAST_NAME("Last name", "last_name"),
  PHONE("Phone", "phone"),
  ZONE("Time zone", "zone"),
  MAILING("Email", "mailing"),
  TEXTS("Texts", ""),
  HOW_OFTEN("How often", "how_often"),
  LABEL("Label", ""),
  FIELD("Field", "");

  private final String words;
  private final String column;

  What(String words, String column) {
    this.words = words;
    this.column = column;
  }

  String words() {
    return words;
  }

  /** The column of {@code person} that holds it; empty if it stands elsewhere. */
  String column() {
    return column;
  }
}
