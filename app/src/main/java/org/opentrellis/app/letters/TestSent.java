package org.opentrellis.app.letters;

import java.util.List;

/**
 * Tests that went out.
 *
 * @param skipped messages that could not be, each with why
 */
record TestSent(String to, List<TestMail> mails, List<String> skipped) {

  /**
   * @param millis until the mail server had taken it
   */
  record TestMail(String message, String subject, int bytes, long millis) {}
}
