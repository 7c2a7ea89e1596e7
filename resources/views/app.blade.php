@php
    $look = json_decode((string) request()->cookie('uplandia_look', '{}'), true);
    $theme = in_array($look['theme'] ?? '', ['day', 'dusk', 'clear'], true) ? $look['theme'] : '';
    $size = in_array($look['size'] ?? 0, [1, 2, 3, 4], true) ? $look['size'] : 2;
    $spacing = in_array($look['spacing'] ?? 0, [1, 2, 3], true) ? $look['spacing'] : 1;
@endphp
<!DOCTYPE html>
<html lang="en" data-size="{{ $size }}" data-spacing="{{ $spacing }}" @if ($theme) data-theme="{{ $theme }}" @endif>
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Uplandia</title>
    <meta name="description" content="Practice tests for people who must pass an exam.">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="manifest" href="/manifest.webmanifest">
    @vite(['resources/css/app.css', 'resources/js/main.tsx'])
</head>
<body>
    <div id="uplandia"></div>
    <noscript>Uplandia needs JavaScript: please switch it on and reload this page.</noscript>
</body>
</html>
