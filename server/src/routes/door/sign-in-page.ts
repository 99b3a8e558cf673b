/** What is said on the page at the door. */
export interface Words {
  readonly message?: string;
  readonly device?: string;
  readonly code?: string;
  readonly wantsPin?: boolean;
}

interface PageParts extends Words {
  /** False where the server runs without the web application, and so without its styles. */
  readonly isDrawn: boolean;
  readonly hasCertificate: boolean;
}

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/**
 * The page at the door, whole: two forms that work without any script, so that nothing of the household's
 * application is given to a stranger.
 */
export function signInPage(parts: PageParts): string {
  const { message = '', device = '', code = '', wantsPin = false, isDrawn } = parts;
  const alert = (shown: boolean): string =>
    message !== '' && shown ? `<p class="caution" role="alert">${escaped(message)}</p>` : '';
  const pairing = code !== '' || wantsPin;
  const deviceField = (id: string): string => `
        <label for="${id}">Name of this device</label>
        <input id="${id}" name="device" maxlength="60" autocomplete="off" value="${escaped(device)}" placeholder="Kitchen tablet" />`;
  return `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <title>Sign in · Gumo</title>
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <meta name="robots" content="noindex" />
    <link rel="icon" type="image/svg+xml" href="/icon.svg" />
    ${isDrawn ? '<link rel="stylesheet" href="/sign-in.css" />\n    <script src="/sign-in.js" defer></script>' : ''}
  </head>
  <body class="door">
    <main>
      <header>
        <h1>gumo</h1>
        <p>These are a household’s own records. Sign in to go on.</p>
      </header>
      <form id="pair" method="post" action="/pair" class="sheet">
        <h2>With a code</h2>
        <p class="soft">The owner makes one under Household, Sharing.</p>
        ${alert(pairing)}
        <label for="code">Code, 8 digits</label>
        <input id="code" name="code" class="code" inputmode="numeric" autocomplete="one-time-code" maxlength="11" required value="${escaped(code)}" />
        ${deviceField('pair-device')}
        ${
          wantsPin
            ? `<label for="pin">PIN for this device, 4 to 8 digits</label>
        <input id="pin" name="pin" type="password" inputmode="numeric" autocomplete="new-password" minlength="4" maxlength="8" required />`
            : ''
        }
        <button class="button filled">Let this device in</button>
      </form>
      <form id="sign-in" method="post" action="/sign-in" class="sheet">
        <h2>With the household’s password</h2>
        <p class="soft">For the owner: everything is open then.</p>
        ${alert(!pairing)}
        <label for="password">Password</label>
        <input id="password" name="password" type="password" autocomplete="current-password" maxlength="128" required />
        ${deviceField('sign-in-device')}
        <button class="button outlined">Sign in</button>
      </form>
      ${
        parts.hasCertificate
          ? `<p class="soft foot">To open Gumo here without the server too, this device must trust
        <a href="/gumo-household.crt">the household’s certificate</a>.</p>`
          : ''
      }
    </main>
  </body>
</html>
`;
}
