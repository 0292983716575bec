@if ($sentence = \App\View\DidWords::of(session('did')))
<p class="saved" role="status">{{ $sentence }}</p>
@endif
