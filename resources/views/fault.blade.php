<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width">
    <title>Not just now</title>
    <style>
        body { margin: 15vh auto; max-width: 34em; padding: 0 1em; background: #f8f6f0; color: #20282b; font: 17px/1.5 Georgia, serif; }
        h1 { font-size: 24px; border-bottom: 3px double #20282b; padding-bottom: 8px; }
    </style>
</head>
<body><main>
    <h1>Not just now</h1>
    <p>{{ $says }}</p>
</main></body>
</html>
