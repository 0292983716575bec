@extends('layout')
@section('title', 'Changed meanwhile')
@section('content')
<header class="head"><h1>{{ $edited->thing }}</h1></header>
<section class="panel stop-panel" role="alert"><h2>Somebody was here before you</h2>
<p>{{ $edited->getMessage() }} Nothing of yours was stored, and nothing of theirs was overwritten.</p>
@if ($edited->now !== [])
<h2>What stands there now</h2><dl class="typed">
@foreach ($edited->now as $label => $value)
<dt>{{ $label }}</dt><dd>{{ $value }}</dd>
@endforeach
</dl>
@endif
@if ($typed !== [])
<h2>What you had typed</h2><dl class="typed">
@foreach ($typed as $field => $value)
<dt>{{ $field }}</dt><dd>{{ $value }}</dd>
@endforeach
</dl>
@endif
<div class="acts"><a class="btn go" href="{{ $edited->back }}">See it as it is now</a></div></section>
@endsection
