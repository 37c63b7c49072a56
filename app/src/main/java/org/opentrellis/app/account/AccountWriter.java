package org.opentrellis.app.account;

import java.util.List;
import org.opentrellis.core.account.Regional;
import org.opentrellis.core.account.Sender;

/**
 * Who writes, and how.
 *
 * @param name empty until somebody says it
 * @param postalAddress likewise
 * @param senders the first unless something else is said
 */
public record AccountWriter(
    String name, String postalAddress, Regional regional, List<Sender> senders) {}
