package org.opentrellis.app.standins;

/** A mail came to the stand-in mail server; told in the transaction in which it is kept. */
public record MailCame(String address, byte[] content) {}
