package org.opentrellis.core.entrance;

import org.opentrellis.core.journey.FileName;
import org.opentrellis.core.journey.MessageId;

/** What whoever signs up gets at once. */
public sealed interface HandOut permits HandOut.File, HandOut.Mail {

  /** A file to fetch, once they are in. */
  record File(FileName file) implements HandOut {}

  /** A message, by email. */
  record Mail(MessageId message) implements HandOut {}
}
