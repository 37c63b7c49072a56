// Lets a sign-up form slide in at the corner of a page, once its reader has been there for a while.
// Whoever closes it does not see it again for 30 days.
(function () {
  var script = document.currentScript
  if (!script) return
  var form = script.src.replace(/\/card\.js.*$/, '')
  var title = script.getAttribute('data-title') || 'Sign up'
  var seconds = Number(script.getAttribute('data-after')) || 0
  var key = 'sign-up-card ' + form
  var month = 30 * 24 * 3600 * 1000

  function closedLately() {
    try {
      return Date.now() - Number(localStorage.getItem(key)) < month
    } catch (none) {
      return false
    }
  }

  function remember() {
    try {
      localStorage.setItem(key, String(Date.now()))
    } catch (none) {
      // then it comes again with the next page
    }
  }

  function show() {
    var card = document.createElement('section')
    card.setAttribute('aria-label', title)
    card.style.cssText =
      'position:fixed;right:16px;bottom:16px;z-index:2147483000;box-sizing:border-box;' +
      'width:min(380px,calc(100vw - 32px));height:min(520px,calc(100vh - 32px));' +
      'background:#fbfcfa;border:1px solid #c9d2cb;border-radius:12px;overflow:hidden;' +
      'box-shadow:0 12px 40px rgba(20,61,47,.28);'
    var calm = window.matchMedia && matchMedia('(prefers-reduced-motion: reduce)').matches
    if (!calm) {
      card.style.transform = 'translateY(calc(100% + 32px))'
      card.style.transition = 'transform .35s ease-out'
      setTimeout(function () {
        card.style.transform = 'none'
      }, 50)
    }
    var frame = document.createElement('iframe')
    frame.src = form
    frame.title = title
    frame.style.cssText = 'display:block;width:100%;height:100%;border:0'
    var close = document.createElement('button')
    close.type = 'button'
    close.textContent = '\u00d7'
    close.setAttribute('aria-label', 'Close')
    close.style.cssText =
      'position:absolute;top:6px;right:6px;width:36px;height:36px;padding:0;cursor:pointer;' +
      'font:22px/1 sans-serif;color:#1d2a24;background:#fbfcfa;border:0;border-radius:8px'
    function leave() {
      card.remove()
      document.removeEventListener('keydown', onKey)
      remember()
    }
    function onKey(event) {
      if (event.key === 'Escape') leave()
    }
    close.addEventListener('click', leave)
    document.addEventListener('keydown', onKey)
    card.append(close, frame)
    document.body.append(card)
  }

  if (!closedLately()) setTimeout(show, seconds * 1000)
})()
