package org.opentrellis.app.standins;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Some mails, the newest first.
 *
 * @param next what comes after them; null if they are the last
 * @param server where mail is handed to it
 */
record InboxPage(long total, List<InboxLine> items, @Nullable Long next, String server) {}
