<?php

declare(strict_types=1);

return [
    'name' => 'Uplandia',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8000'),
    // Scripts and styles come from wherever the page came from.
    'asset_url' => '/',
    // Other names under which this server may be asked, beside that of its address; one that is only reached from its
    // own machine answers to all names of that machine.
    'hosts' => array_filter(explode(',', (string) env('UPLANDIA_HOSTS', ''))),
    // Addresses, with commas, of proxies whose word on who asks, and how, is taken; "*": whoever asks is one.
    'proxies' => (string) env('UPLANDIA_PROXIES', ''),
    // Where `bootstrap/front.mjs` hands requests on from, which has weighed all others' word already.
    'front' => (string) env('UPLANDIA_FRONT', ''),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'previous_keys' => array_filter(explode(',', (string) env('APP_PREVIOUS_KEYS', ''))),

    // One-click sign-in for the made-up people: only where this is on, and `./uplandia demo` alone turns it on.
    'demo' => (bool) env('UPLANDIA_DEMO', false),
    // How many days ahead of the machine's its clock goes; in the demo only, for trying what tomorrow brings.
    'days_ahead' => (int) env('UPLANDIA_DAYS_AHEAD', 0),
    // How often one machine may try a door (sign in, register, reset): a course behind one address is many people.
    'doors_per_minute' => (int) env('UPLANDIA_DOORS_PER_MINUTE', 600),
    // Letters to one address that somebody asks for.
    'letters_per_hour' => (int) env('UPLANDIA_LETTERS_PER_HOUR', 12),
    // How often one person may ask for anything.
    'requests_per_minute' => (int) env('UPLANDIA_REQUESTS_PER_MINUTE', 600),
    // Bare routes to measure others against; on in benches only.
    'bench' => (bool) env('UPLANDIA_BENCH', false),
];
