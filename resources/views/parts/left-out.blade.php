@if (session('left_out', []) !== [])
<p><b>Left out:</b></p>
<ul>
@foreach (session('left_out') as $problem)
<li>{{ $problem }}</li>
@endforeach
</ul>
@endif
