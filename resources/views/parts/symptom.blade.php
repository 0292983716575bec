<details class="symptom {{ $symptom->normal }}">
<summary>{{ $symptom->name }} <span class="fine">{{ $symptom->standing() }}</span></summary>
<ul>
@foreach ($symptom->causes as $cause)
<li>{{ $cause->cause }} <b>{{ $cause->fix }}</b></li>
@endforeach
</ul>
@if ($symptom->nextTest)
<p><b>Next test:</b> {{ $symptom->nextTest }}</p>
@endif
</details>
