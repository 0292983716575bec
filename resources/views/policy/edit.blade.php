@extends('layout')
@section('title', 'Policy')
@section('content')
<header class="head"><h1>Policy</h1>
<span class="goal">where good technicians disagree, this bench does it like this; a job can depart from it</span><span
 class="ms-auto acts-inline">@if (auth()->user()->isLead())
<a class="btn" href="/retention">How long contents are kept</a> <a class="btn" href="/people">People</a>
@endif
<a class="btn" href="/account">Your account</a></span></header>
@if (session('did') === 'saved')
<p class="saved" role="status">Saved. Paths computed from now on follow it; paths that exist stay as they are until
they are computed again.</p>
@endif
<form method="post" action="/policy">@csrf<input type="hidden" name="as_seen" value="{{ $version }}">
<div class="cols even">
@foreach ($schools as $name => $school)
<fieldset class="panel school" @disabled(! $lead)>
<legend>{{ $school->title }} <span class="rule">{{ $school->rule }}</span></legend>
@foreach ($school->options as $option => $words)
<label>
<input type="radio" name="{{ $name }}" value="{{ $option }}"
 @checked(old($name, $policy->school($name)) === $option)>
<span>{{ $words }}</span></label>
@endforeach
</fieldset>
@endforeach
<fieldset class="panel school" @disabled(! $lead)>
<legend>What the bench answers at a first start, and its line <span class="rule">I4, I5</span></legend>
@foreach ($texts as $name => $words)
<label class="form-label" for="t-{{ $name }}">{{ $words }}</label>
<input id="t-{{ $name }}" name="{{ $name }}" class="form-control" maxlength="60"
 value="{{ old($name, $policy->text($name)) }}">
@error("policy.{$name}")
<p class="wrong">{{ $message }}</p>
@enderror
@endforeach
</fieldset>
</div>
@error('policy')<p class="wrong">{{ $message }}</p>@enderror
@if ($lead)
<div class="acts"><button class="btn go">Save the policy</button></div>
@else
<p class="fine">A lead can change it.</p>
@endif
</form>
<form method="post" action="/policy/shop" class="panel school mt-4" id="shop">@csrf
<input type="hidden" name="as_seen" value="{{ $shopVersion }}">
<h2>Name of the shop</h2>
@if (session('did') === 'named')
<p class="saved" role="status">Saved. Papers that are opened from now on have it.</p>
@endif
<label class="form-label" for="shop-name">On receipts, handover sheets and certificates of
erasure{{ $shop === '' ? ': none so far' : '' }}</label>
<input id="shop-name" name="shop" class="form-control w-auto mw-100" size="50" maxlength="80"
 value="{{ old('shop', $shop) }}" @disabled(! $lead) @error('shop') aria-invalid="true" @enderror>
@error('shop')<p class="wrong" role="alert">{{ $message }}</p>@enderror
@if ($lead)
<div class="acts"><button class="btn">Keep this name</button></div>
@endif
@includeWhen($named->isNotEmpty(), 'parts.bench-events', ['events' => $named])
</form>
@if ($history->isNotEmpty())
<section class="panel"><h2>Changes</h2><ol class="log">
@foreach ($history as $change)
<li><span class="when">{!! \App\View\Words::time($change->created_at) !!}</span>
<div>{{ $change->words() }} <span class="fine">{{ $change->user?->title }}</span></div>
</li>
@endforeach
</ol></section>
@endif
@endsection
