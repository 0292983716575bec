@include('run.evidence', ['for' => $gate->opener, 'button' => 'Open the gate'])
