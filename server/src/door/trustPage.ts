import express, { type Express } from 'express';
import helmet from 'helmet';

const page = (secureAddress: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Trust this workshop</title>
<style>body{font:17px/1.5 system-ui,sans-serif;max-width:40rem;margin:2rem auto;padding:0 1rem;background:#f3efe6;color:#1f2326}
a{color:#8a3b12}li{margin:.4rem 0}.go{display:inline-block;padding:.8rem 1.2rem;border:2px solid;border-radius:.5rem}</style></head>
<body><main><h1>Trust this workshop</h1>
<p>Pondu signs its own certificate. A device that trusts it, once, has an encrypted line to the workshop and can work without a signal.</p>
<p><a class="go" href="/pondu-workshop.crt" download>Download the certificate</a></p>
<ul>
<li><b>Android</b>: Settings, Security, Encryption and credentials, Install a certificate, CA certificate; choose the file.</li>
<li><b>iPhone, iPad</b>: open the file, then Settings, Profile downloaded, Install; then Settings, General, About, Certificate trust settings, switch it on.</li>
<li><b>Windows</b>: open the file, Install certificate, Local machine, Trusted root certification authorities.</li>
<li><b>macOS</b>: open the file in Keychain Access, then set it to Always trust.</li>
<li><b>Linux</b>: in the browser’s settings under Certificates, Authorities, Import.</li>
</ul>
<p>Compare the fingerprint with the one in the terminal before you trust it. Take it out again when you leave the workshop.</p>
<p><a class="go" href="${secureAddress}">Then go to ${secureAddress}</a></p>
</main></body></html>`;

/** A plain-http page that serves the certificate, how to trust it, and nothing else. */
export function trustApp(authority: string, addressFor: (host: string) => string): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: { defaultSrc: ["'none'"], styleSrc: ["'unsafe-inline'"], frameAncestors: ["'none'"] },
      },
    }),
  );
  app.get('/pondu-workshop.crt', (_req, res) => {
    res.attachment('pondu-workshop.crt').type('application/x-x509-ca-cert').send(authority);
  });
  app.get('/', (req, res) => void res.type('html').send(page(addressFor(req.hostname))));
  app.use((_req, res) => void res.status(404).type('text/plain').send('Only the certificate is here.'));
  return app;
}
