@extends('layout')
@section('title', 'Code')
@section('page-class', 'narrow')
@section('content')
<h1>Cobblestone</h1>
<form method="post" action="/login/code" class="panel" hx-boost="false">@csrf
<div class="mb-3"><label for="code" class="form-label">The code that your device shows now</label>
<input id="code" name="code" class="form-control mono" inputmode="numeric" autocomplete="one-time-code" autofocus
 required maxlength="12">
@include('parts.error', ['field' => 'code'])
</div>
<div class="acts"><button class="btn go">Go on</button> <a class="btn" href="/login">Another account</a></div>
<p class="fine mt-2">Device lost? The lead can take the code off your account.</p>
</form>
@endsection
