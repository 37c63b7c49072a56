package org.opentrellis.app.account;

import java.util.List;

/** What can be chosen from for an account. */
record AccountChoices(List<String> zones, List<Language> languages, List<String> currencies) {
  /**
   * @param tag as BCP 47 has it
   * @param example a day as it is written there
   */
  record Language(String tag, String name, String example) {}
}
