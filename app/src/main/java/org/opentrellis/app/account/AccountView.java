package org.opentrellis.app.account;

import java.util.List;

/**
 * The account as it is.
 *
 * @param example a day and an amount, as they are written in its language
 * @param senders as a mail's head has them
 * @param missing what has to be said before anything can be sent, in sentences
 */
public record AccountView(
    AccountOrder account, String example, List<String> senders, List<String> missing) {}
