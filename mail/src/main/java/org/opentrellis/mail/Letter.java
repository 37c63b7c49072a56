package org.opentrellis.mail;

import java.time.Instant;
import java.util.Optional;
import org.opentrellis.core.account.Sender;
import org.opentrellis.core.people.EmailAddress;

/**
 * A letter for one person, ready to go.
 *
 * @param toName as it is shown; may be empty
 * @param messageId without angle brackets (RFC 5322, section 3.6.4)
 * @param unsubscribe where a POST stops what they get (RFC 8058); empty for a letter to nobody
 */
public record Letter(
    Sender from,
    EmailAddress to,
    String toName,
    String subject,
    String messageId,
    Instant date,
    String html,
    String plain,
    Optional<String> unsubscribe) {}
