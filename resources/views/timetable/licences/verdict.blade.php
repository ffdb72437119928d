{{-- What is to be said of the assignment. load: Load --}}
@switch($load->verdict())
    @case('left')
        {{ trans_choice('licences.left', $load->assignment->leftOver(), [
            'series' => trans_choice('count.series', count($load->left())),
        ]) }}
        <x-some :of="$load->left()" :most="4" after="." />
    @break

    @case('unassigned')
        {{ trans_choice('licences.unassigned', $load->unassigned()) }}
    @break

    @case('changed')
        {{ trans_choice('licences.changed', $load->assignment->changed) }}
    @break

    @default
        {{ __('licences.right') }}
@endswitch
{{ $load->assignment->split === [] ? '' : trans_choice('licences.split', count($load->assignment->split)) }}
