@if ($page->raisesWhatIsNormal())
<details class="is-normal" @if ($page->trouble() !== null || $page->isOverdue()) open @endif>
<summary>Is this normal? Seen at this stone before: {{ count($page->beside->symptoms) }}</summary>
@each('parts.symptom', $page->beside->symptoms, 'symptom')
</details>
@endif
