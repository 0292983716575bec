@extends('layout')
@section('title', 'Sign in')
@section('page-class', 'narrow')
@section('content')
<h1>Cobblestone</h1>
<p class="lead-in">Describe the machine and the goal; get a path that is computed, explained, gated, timed and
recorded.</p>
<form method="post" action="/login" class="panel" hx-boost="false">@csrf
<div class="mb-3"><label for="login" class="form-label">Name at the bench</label>
<input id="login" name="login" class="form-control" value="{{ old('login') }}" autofocus autocomplete="username"
 required maxlength="60">
@include('parts.error', ['field' => 'login'])
</div>
<div class="mb-3"><label for="password" class="form-label">Password</label>
<input id="password" name="password" type="password" class="form-control" autocomplete="current-password" required
 maxlength="200">
@include('parts.error', ['field' => 'password'])
</div>
<button class="btn go">Sign in</button>
</form>
@if ($demo)
<section class="panel"><h2>The demo world</h2>
<p>This is the bench of the Quillport Ferry Co-operative, for looking around. Its accounts all have the password <b
 class="mono">quillport</b>:</p>
<ul><li><b class="mono">lead</b> takes jobs in, sets policy, may waive</li><li>
<b class="mono">evening</b> walks paths</li><li><b class="mono">viewer</b> looks on</li></ul>
<p class="fine">Served on this computer only. A shop of its own begins with <span class="mono">bin/start
--empty</span>.</p>
</section>
@endif
@endsection
