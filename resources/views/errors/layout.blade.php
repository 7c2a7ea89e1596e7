<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Uplandia</title>
    <link rel="stylesheet" href="/error.css">
</head>
<body>
    <main>
        <h1>{{ \App\Http\Problem::sentence($exception->getStatusCode()) }}</h1>
        <p><a href="/">Go to today</a></p>
    </main>
</body>
</html>
