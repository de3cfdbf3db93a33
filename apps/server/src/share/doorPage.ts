/** A page for a strange device: fields and a button, without a script. @param trouble what was wrong with the last try, plain text of ours */
export const doorPage = (action: string, fields: string, button: string, trouble?: string): string => `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Snug Bolt: ${button}</title>
    <style>
      body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: #f6f1ea; color: #211d19; font: 18px/1.5 system-ui, sans-serif }
      main { width: min(24rem, 88vw) }
      label { display: block; margin-bottom: 0.3rem }
      label ~ label { margin-top: 0.9rem }
      input, button { box-sizing: border-box; width: 100%; min-height: 3.2rem; font: inherit; border-radius: 3px }
      input { border: 1px solid #6f675d; padding: 0 0.8rem; background: #fffefb; color: inherit }
      button { margin-top: 0.8rem; border: 0; background: #4a3f8f; color: #fff; font-weight: 700 }
      [role='alert'] { color: #9b2c1f }
    </style>
  </head>
  <body>
    <main>
      <h1>Snug Bolt</h1>
      <form method="post" action="${action}">
${fields}
        ${trouble ? `<p role="alert">${trouble}</p>` : ''}
        <button type="submit">${button}</button>
      </form>
    </main>
  </body>
</html>
`

export const unlockPage = (trouble?: string): string =>
  doorPage(
    '/unlock',
    `        <label for="phrase">The pass-phrase shown where Snug Bolt was started</label>
        <input id="phrase" name="phrase" autocomplete="current-password" autocapitalize="none" required autofocus maxlength="200" />`,
    'Let me in',
    trouble,
  )
