<details class="more" @if ($errors->hasAny(['because', 'seen'])) open @endif>
<summary>Something was wrong with it</summary>
<x-act :to="'/sticks/'.$slug.'/booted-badly'" class="mb-2">
<label class="form-label" for="seen">A machine did not start from it: what was seen</label>
<input id="seen" name="seen" class="form-control" maxlength="300" value="{{ old('seen') }}">
@include('parts.error', ['field' => 'seen'])
<button class="btn mt-1">Note it</button>
</x-act>
@if (! $page->isRetired())
<x-act :to="'/sticks/'.$slug.'/retire'">
<input type="hidden" name="as_seen" value="{{ $version }}">
<label class="form-label" for="because">Retire it, because</label>
<input id="because" name="because" class="form-control" maxlength="300" value="{{ old('because') }}">
@include('parts.error', ['field' => 'because'])
<button class="btn stop mt-1">Retire it</button>
</x-act>
@elseif (auth()->user()->isLead())
<x-act :to="'/sticks/'.$slug.'/take-back'">
<input type="hidden" name="as_seen" value="{{ $version }}">
<button class="btn">Take it back into use</button>
@include('parts.error', ['field' => 'take-back'])
</x-act>
@endif
</details>
