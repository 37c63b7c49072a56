package org.opentrellis.app.standins;

import org.jspecify.annotations.Nullable;

/**
 * A mail that came.
 *
 * @param address whose mailbox it is in
 * @param millis how long it was on its way; null if it does not say when it set out
 * @param at when it came, in epoch seconds
 */
record InboxLine(
    long id,
    String address,
    String sender,
    String subject,
    int bytes,
    @Nullable Long millis,
    long at) {

  static InboxLine of(InboxMapper.InboxRow row) {
    return new InboxLine(
        row.id(),
        row.address(),
        row.sender(),
        row.subject(),
        row.bytes(),
        row.millis(),
        row.cameAt().toEpochSecond());
  }
}
