<?php

declare(strict_types=1);

// Router of PHP's own web server: files under public/ as they are, everything else through Laravel.

$path = urldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
$public = __DIR__.'/../public';
// No file has NUL in its name, and PHP will not look for one.
$file = str_contains($path, "\0") ? false : realpath($public.$path);

if (
    $path !== '/' &&
    $file !== false &&
    str_starts_with($file, (string) realpath($public).DIRECTORY_SEPARATOR) &&
    is_file($file) &&
    ! str_ends_with($file, '.php')
) {
    return false;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = $public.'/index.php';

require $public.'/index.php';
