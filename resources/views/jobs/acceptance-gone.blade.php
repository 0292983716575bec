@if ($page->gone !== [])
<details><summary>Written down, and not asked for by this path any more</summary>
<ul>
@foreach ($page->gone as $one)
<li><code>{{ $one->row }}</code>: {{ $one->value }}
<span class="fine">{{ $one->user->title }}, {!! \App\View\Words::time($one->created_at) !!}</span></li>
@endforeach
</ul>
</details>
@endif
