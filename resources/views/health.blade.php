<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width">
    <title>{{ $well ? 'Everything works' : 'Something is wrong' }}</title>
    <style>
        body { margin: 12vh auto; max-width: 36em; padding: 0 1em; background: #f8f6f0; color: #20282b; font: 17px/1.5 Georgia, serif; }
        h1 { font-size: 24px; border-bottom: 3px double #20282b; padding-bottom: 8px; }
        table { width: 100%; border-collapse: collapse; }
        th, td { text-align: left; font-weight: normal; padding: 5px 8px 5px 0; border-bottom: 1px solid #dad4c5; vertical-align: top; }
        .ill td, .ill th { color: #a8261d; }
    </style>
</head>
<body><main>
    <h1>{{ $well ? 'Everything works' : 'Something is wrong' }}</h1>
    <table>
        @foreach ($lines as $name => $line)
            <tr @class(['ill' => ! $line['well']])>
                <th scope="row">{{ ucfirst($name) }}</th>
                <td>{{ $line['well'] ? '' : 'Not well: ' }}{{ $line['says'] }}</td>
            </tr>
        @endforeach
    </table>
</main></body>
</html>
