@props(['gate'])
<section class="gate-card {{ $gate->kind() }}" aria-label="{{ $gate->word() }}">
<h2>
<svg width="26" height="30" viewBox="0 0 26 30" aria-hidden="true"><path d="M4 2V28M22 2V28M4 8H22M4 16H22"/></svg>
<span>{{ $gate->heading() }}</span>
</h2>
@if ($gate->restsOn() !== '')
<p class="fine">Rests on: {{ $gate->restsOn() }} <span class="rule">{{ $gate->rule() }}</span></p>
@endif
{{ $slot }}
</section>
