/** The observatory's own style sheet; it has nothing of the application's. */
export const SITE_CSS = `:root{color-scheme:light}
body{margin:0;font:17px/1.6 "Iowan Old Style","Palatino Linotype",Palatino,Georgia,serif;color:#22263a;background:#f4f1e8}
header{background:#1d2440;color:#f6e9c8}
header>div,main,footer{max-width:960px;margin:0 auto;padding:18px 24px}
header a{color:#f6e9c8;text-decoration:none}
header .name{font-size:24px;letter-spacing:.02em}
nav{display:flex;flex-wrap:wrap;gap:4px 20px;font-size:15px;margin-top:8px}
nav a:hover,nav a[aria-current]{text-decoration:underline;text-underline-offset:5px}
h1{font-size:38px;line-height:1.15;margin:28px 0 12px;font-weight:500}
h2{font-size:23px;margin:30px 0 8px;font-weight:500}
a{color:#22457a}
.sky{width:100%;height:auto;display:block;border-radius:3px}
.small{width:240px;height:160px;float:right;margin:6px 0 12px 24px}
table{border-collapse:collapse;width:100%}
td,th{text-align:start;border-bottom:1px solid #cfc8b4;padding:7px 12px 7px 0;vertical-align:top}
form label{display:block;margin:12px 0 4px}
form input,form select,form textarea{font:inherit;padding:7px 9px;border:1px solid #8a8470;border-radius:3px;width:min(420px,100%);box-sizing:border-box;background:#fff}
form button{font:inherit;margin-top:16px;padding:9px 20px;background:#22457a;color:#fff;border:0;border-radius:3px}
footer{font-size:14px;color:#565a6b;border-top:1px solid #cfc8b4;margin-top:48px}
@media(max-width:600px){h1{font-size:30px}.small{float:none;margin:12px 0}}
`;
