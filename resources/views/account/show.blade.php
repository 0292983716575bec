@extends('layout')
@section('title', 'Your account')
@section('content')
<header class="head"><h1>{{ $user->title }}</h1>
<span class="goal">signs in as {{ $user->login }}, role {{ $user->role }}</span>@if ($user->isLead())
<a class="btn ms-auto" href="/people">People of the bench</a>@endif
</header>
@if ($user->must_change)
<p class="verdict hold" role="status">Your password was handed over by somebody else. Choose your own; the rest of the
bench opens then.</p>
@endif
@include('account.did')
<div class="cols even">
<form method="post" action="/account/password" class="panel" hx-boost="false">@csrf<h2>Password</h2>
<label class="form-label" for="current_password">The one you sign in with now</label>
<input id="current_password" name="current_password" type="password" class="form-control"
 autocomplete="current-password" maxlength="200">
@include('parts.error', ['field' => 'current_password'])
<label class="form-label mt-2" for="password">The new one <span class="fine">at least 10 characters; three words in a
row do</span></label>
<input id="password" name="password" type="password" class="form-control" autocomplete="new-password" maxlength="200">
@include('parts.error', ['field' => 'password'])
<label class="form-label mt-2" for="password_confirmation">The new one again</label>
<input id="password_confirmation" name="password_confirmation" type="password" class="form-control"
 autocomplete="new-password" maxlength="200">
@include('parts.error', ['field' => 'password_confirmation'])
<div class="acts"><button class="btn go">Change it</button></div>
<p class="fine">Everywhere else you are signed out.</p></form>
@if (! $user->must_change)
<section class="panel"><h2>Second factor</h2>
@if ($user->hasCode())
<p><b>On.</b> Besides the password, a code of your device is asked for at every sign-in.</p>
<form method="post" action="/account/code/off" hx-boost="false">
@csrf
<label class="form-label" for="off-password">Your password, to take it off</label>
<input id="off-password" name="current_password" type="password" class="form-control" autocomplete="current-password"
 maxlength="200">
<div class="acts"><button class="btn stop">Take it off</button></div></form>
@elseif ($secret !== null)
<p>Read this with an authenticator, or type the secret into it, then type the code it shows. Until then nothing
changes.</p>
<div class="qr">{!! $picture !!}</div><p class="mono">{{ implode(' ', str_split($secret, 4)) }}</p>
<form method="post" action="/account/code" hx-boost="false">
@csrf
<label class="form-label" for="code">The code it shows</label>
<input id="code" name="code" class="form-control mono" inputmode="numeric" autocomplete="one-time-code" maxlength="12">
@include('parts.error', ['field' => 'code'])
<div class="acts"><button class="btn go">Switch it on</button></div></form>
@else
<p>Off. With it a stolen password alone opens nothing: a code that changes every 30 s is asked for too. Any
authenticator that reads time-based codes (RFC 6238) does.</p>
<form method="post" action="/account/code/secret">
@csrf
<div class="acts"><button class="btn">Set it up</button></div></form>
@endif</section>
@endif
</div>
<section class="panel"><h2>Where you are signed in</h2>
@include('account.sessions', ['end' => '/account/sessions', 'titles' => []])</section>
@endsection
