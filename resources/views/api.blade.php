<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>For programs · Plain Ledger</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <style>
        body { margin: 6vh auto; max-width: 52em; padding: 0 1em; background: #f8f6f0; color: #20282b; font: 16px/1.5 Georgia, serif; }
        h1 { font-size: 26px; border-bottom: 3px double #20282b; padding-bottom: 8px; }
        h2 { font: 600 14px/1.4 ui-monospace, monospace; margin: 0; overflow-wrap: anywhere; }
        code, pre { font: 14px/1.4 ui-monospace, monospace; white-space: pre-wrap; overflow-wrap: anywhere; }
        section { border-bottom: 1px solid #dad4c5; padding: 8px 0; }
        p { margin: 4px 0; }
        .about { color: #5d6467; }
        a { color: #26437a; }
    </style>
</head>
<body>
<main>
    <h1>For programs</h1>
    <p>{{ $document['info']['description'] }}
        The same as a document: <a href="/api/openapi.json">openapi.json</a>.</p>
    <pre>curl -H "Authorization: Bearer TOKEN" {{ url('/api/v1/productions') }}</pre>
    @foreach ($document['paths'] as $path => $calls)
        @foreach ($calls as $method => $call)
            <section id="{{ $call['operationId'] }}">
                <h2>{{ strtoupper($method) }} /api/v1{{ $path }}</h2>
                <p>{{ $call['summary'] }} <span class="about">{{ $call['description'] }}</span></p>
                @isset($call['requestBody'])
                    <p>Sends:
                        @foreach ($call['requestBody']['content']['application/json']['schema']['properties'] ?? [] as $name => $field)
                            <code>{{ $name }}</code>{{ in_array($name, $call['requestBody']['content']['application/json']['schema']['required'] ?? [], true) ? ' (needed)' : '' }}@if (! $loop->last), @endif
                        @endforeach
                    </p>
                @endisset
            </section>
        @endforeach
    @endforeach
</main>
</body>
</html>
