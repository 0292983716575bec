<!doctype html><html lang="en"><head><meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1"><title>
@yield('what')
· Cobblestone</title><link rel="stylesheet" href="/vendor/bootstrap.min.css"><link rel="stylesheet" href="/app.css">
</head>
<body><main id="page" class="page narrow"><h1>
@yield('what')
</h1><div class="panel"><p>
@yield('next')
</p><div class="acts"><a class="btn go" href="/">To the Bench</a></div></div></main></body></html>
