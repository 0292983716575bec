<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>{{ $heading }} · Cobblestone</title>
<link rel="stylesheet" href="/vendor/bootstrap.min.css"><link rel="stylesheet" href="/app.css"></head>
<body><main id="page" class="page narrow"><h1>{{ $heading }}</h1><div class="panel" role="alert"><p>{{ $next }}</p>
@if ($typed !== [])
<h2>What you had typed</h2><dl class="typed">
@foreach ($typed as $field => $value)
<dt>{{ $field }}</dt><dd>{{ $value }}</dd>
@endforeach
</dl>
@endif
<div class="acts"><a class="btn go" href="/">To the Bench</a></div></div></main></body></html>
