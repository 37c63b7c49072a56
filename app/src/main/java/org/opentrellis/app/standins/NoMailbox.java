package org.opentrellis.app.standins;

import com.icegreen.greenmail.mail.MovingMessage;
import com.icegreen.greenmail.user.GreenMailUser;
import jakarta.mail.internet.MimeMessage;

/** A user of the mail server whose mail is kept elsewhere: the server itself remembers nothing. */
record NoMailbox(String email) implements GreenMailUser {
  @Override
  public String getEmail() {
    return email;
  }

  @Override
  public void deliver(MovingMessage message) {
    // it is in the inbox
  }

  @Override
  public void deliver(MimeMessage message) {
    // it is in the inbox
  }

  @Override
  public void create() {
    // there is nothing to make
  }

  @Override
  public void delete() {
    // there is nothing to delete
  }

  @Override
  public String getLogin() {
    return email;
  }

  @Override
  public String getPassword() {
    return "";
  }

  @Override
  public void setPassword(String password) {
    // nobody signs in
  }

  @Override
  public void authenticate(String password) {
    // nobody signs in
  }

  @Override
  public String getQualifiedMailboxName() {
    return email;
  }
}
