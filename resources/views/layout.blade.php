<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="htmx-config" content='{!! $htmx !!}'>
<title>@yield('title', 'Cobblestone') · Cobblestone</title>
<link rel="icon" href="/mark.svg" type="image/svg+xml">
<link rel="stylesheet" href="/vendor/bootstrap.min.css">
<link rel="stylesheet" href="/app.css?v={{ filemtime(public_path('app.css')) }}">
<script src="/vendor/htmx.min.js" defer></script>
<script src="/app.js?v={{ filemtime(public_path('app.js')) }}" defer></script>
<script src="/drafts.js?v={{ filemtime(public_path('drafts.js')) }}" defer></script>
<script src="/metronome.js?v={{ filemtime(public_path('metronome.js')) }}" defer></script>
<script src="/upload.js?v={{ filemtime(public_path('upload.js')) }}" defer></script>
<script src="/blackout.js?v={{ filemtime(public_path('blackout.js')) }}" defer></script>
</head>
<body hx-boost="true" hx-target="#page" hx-select="#page" hx-swap="outerHTML show:window:top"
 hx-select-oob="#bell,#kerb">
<a class="skip" href="#page">To the page</a>
<div id="bell" @auth hx-get="/bell/strip" hx-trigger="every 20s" hx-target="this" hx-select="unset"
 hx-select-oob="unset" hx-swap="innerHTML" @endauth>
@include('parts.bell')
</div>
<main id="page" class="page @yield('page-class')" tabindex="-1" data-keys="@yield('keys')"
 @hasSection('draft') data-draft="@yield('draft')" @endif
 @if ($errors->any()) data-refused @endif>
@yield('content')
</main>
<nav id="kerb" class="kerb" aria-label="Places">
@auth
@foreach ($places as $name => [$href, $key, $width])
<a href="{{ $href }}" class="{{ $width }} {{ $here === $name ? 'here' : '' }}" data-place="{{ $key }}"
 @if ($here === $name) aria-current="page" @endif>{{ $name }} <i>{{ $key }}</i></a>
@endforeach
<form method="post" action="/logout" class="who" hx-boost="false">
@csrf
<span><a href="/account"><b>{{ auth()->user()->title }}</b></a> <button class="plain">sign out</button>
<br><small>hold <kbd>k</kbd> for letters, <kbd>h</kbd> for keys</small></span></form>
@endauth
</nav>
</body>
</html>
