package org.opentrellis.app.account;

/** So many emails within seven days are enough now; told in the transaction in which it is set. */
public record EnoughChanged(int emailsPerWeek) {}
