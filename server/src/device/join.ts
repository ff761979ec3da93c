import express, { type Request, type Response, type Router } from 'express';
import { nameSchema } from '@icy-ribbon/contract';
import { cookieFor, tokenOf } from './cookie.ts';
import type { Devices } from './devices.ts';
import type { Invitations } from './invitations.ts';

export const JOIN_PATH = '/join';

/** The one page that a device sees before it is signed in: it takes a code and gives a cookie. A page, not a link, so that a preview uses up nothing. */
export function joinRoutes(router: Router, devices: Devices, invitations: Invitations): void {
  router.get(JOIN_PATH, (request, response) => {
    show(request, response, { code: textOf(request.query.code), name: guessedName(request), wrong: null });
  });
  router.post(JOIN_PATH, express.urlencoded({ extended: false, limit: '4kb' }), async (request, response) => {
    const given = request.body as Record<string, unknown> | undefined;
    const [code, name] = [textOf(given?.code), textOf(given?.name)];
    const checked = nameSchema.safeParse(name);
    if (!checked.success) {
      const wrong = checked.error.issues[0]?.message ?? 'Enter a name for this device.';
      show(request, response, { code, name, wrong }, 422);
      return;
    }
    const invitation = invitations.take(code, request.socket.remoteAddress ?? '');
    if (invitation === 'wait') {
      const wrong = 'Too many wrong codes from this device. Ask for a new one, then try again.';
      show(request, response, { code: '', name, wrong }, 429);
      return;
    }
    if (!invitation) {
      const wrong = 'This code is wrong, was used, or is older than five minutes. Ask for a new one.';
      show(request, response, { code: '', name, wrong }, 401);
      return;
    }
    const before = devices.find(tokenOf(request.headers.cookie) ?? '');
    const { token } = await devices.join(checked.data, invitation.keepDays, invitation.kind);
    // It joins anew before its time is over: one device, once in the list.
    if (before) await devices.signOut(before.id);
    response.setHeader('Set-Cookie', cookieFor(token, invitation.keepDays, request.secure));
    response.redirect(303, '/');
  });
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value.trim().slice(0, 200) : '');

function guessedName(request: Request): string {
  const agent = request.headers['user-agent'] ?? '';
  if (/iPad|Tablet/.test(agent)) return 'Tablet';
  return /Mobi|Android|iPhone/.test(agent) ? 'Phone' : 'Computer';
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);

function show(
  request: Request,
  response: Response,
  { code, name, wrong }: { code: string; name: string; wrong: string | null },
  status = 200,
): void {
  const open = request.secure
    ? ''
    : '<p class="care">What goes between this device and the studio is not encrypted: join only on a network that you trust.</p>';
  response.setHeader('Cache-Control', 'no-store');
  // Without a referrer browsers say of a form that it comes from nowhere, and the guard lets in only what comes from here.
  response.setHeader('Referrer-Policy', 'same-origin');
  response.status(status).type('html').send(`<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Join the studio</title>
<style nonce="${String(response.locals.nonce)}">
body { margin: 0; padding: 24px; font: 18px/1.5 system-ui, sans-serif; color: #1d2b33; background: #f4f7f8; }
main { max-width: 420px; margin: 0 auto; }
main, form { display: grid; gap: 16px; }
h1 { margin: 0; font-size: 24px; }
p { margin: 0; }
label { display: grid; gap: 4px; }
input { font: inherit; padding: 12px; border: 1px solid #6c828c; }
#code { letter-spacing: 0.2em; text-transform: uppercase; }
button { font: inherit; font-weight: 600; min-height: 56px; color: #fff; background: #17586b; border: 0; }
.care { font-size: 15px; }
.wrong { padding: 12px; border-left: 4px solid #a8431f; background: #fff; }
</style>
</head>
<body>
<main>
<h1>Join the studio</h1>
${wrong === null ? '' : `<p class="wrong" role="alert">${escaped(wrong)}</p>`}
<form method="post" action="${JOIN_PATH}">
<label for="code">Code, as the other device shows it
<input id="code" name="code" value="${escaped(code)}" autocomplete="off" autocapitalize="characters" required></label>
<label for="name">What this device is called
<input id="name" name="name" value="${escaped(name)}" maxlength="80" required></label>
<button type="submit">Sign this device in</button>
</form>
${open}
</main>
</body>
</html>
`);
}
