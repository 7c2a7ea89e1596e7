<?php

declare(strict_types=1);

// Router of PHP's own web server: files under public/ as they are, everything else through Laravel.

use App\Http\Middleware\SecurityHeaders;

$path = urldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$public = (string) realpath(__DIR__.'/../public');
// No file has NUL in its name, and PHP will not look for one.
$file = str_contains($path, "\0") ? false : realpath($public.$path);
$types = [
    'css' => 'text/css; charset=utf-8',
    'ico' => 'image/x-icon',
    'js' => 'text/javascript; charset=utf-8',
    'json' => 'application/json',
    'png' => 'image/png',
    'svg' => 'image/svg+xml',
    'txt' => 'text/plain; charset=utf-8',
    'webmanifest' => 'application/manifest+json',
    'woff' => 'font/woff',
    'woff2' => 'font/woff2',
];
$type = $file === false ? null : $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;

if ($file === false || $type === null || ! str_starts_with($file, $public.DIRECTORY_SEPARATOR) || ! is_file($file)) {
    $_SERVER['SCRIPT_NAME'] = '/index.php';
    $_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';

    require $public.'/index.php';

    return;
}

// Served here and not by the web server, which would leave the headers out.
require_once __DIR__.'/../app/Http/Middleware/SecurityHeaders.php';
// Scripts, styles and fonts go by the policy of the page that asks for them: of theirs, a browser heeds one.
$isPart = str_starts_with($path, '/build/assets/') && $type !== $types['svg'];
foreach (SecurityHeaders::ALWAYS as $name => $value) {
    if (! $isPart || $name === 'X-Content-Type-Options') {
        header("{$name}: {$value}");
    }
}
// Compressed twins are made with the build.
$accepted = (string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '');
foreach (['br', 'gzip'] as $encoding) {
    $twin = $file.($encoding === 'br' ? '.br' : '.gz');
    if (preg_match("/\\b{$encoding}\\b(?!;q=0(\\.0+)?(,|$))/", $accepted) === 1 && is_file($twin)) {
        $file = $twin;
        header("Content-Encoding: {$encoding}");
        break;
    }
}
header('Vary: Accept-Encoding');
$tag = '"'.dechex((int) filemtime($file)).'-'.dechex((int) filesize($file)).'"';
header("Content-Type: {$type}");
header("ETag: {$tag}");
// What is built has a name made of its contents.
header('Cache-Control: '.(str_starts_with($path, '/build/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache'));
if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
    http_response_code(304);

    return;
}
header('Content-Length: '.filesize($file));
if ($_SERVER['REQUEST_METHOD'] !== 'HEAD') {
    readfile($file);
}
