{{-- What it comes to. load: Load, or null while it is being worked out --}}
@if ($load === null)
    {{ __('licences.being_worked_out') }}
@else
    {{ trans_choice('licences.peak', $load->peak) }}{{ $load->peakAt === ''
        ? ''
        : ' (' .
            trans_choice('licences.peak_at', $load->times, [
                'at' => $load->peakAt,
            ]) .
            ')' }}
    ·
    {{ trans_choice('licences.suffice', array_sum($load->fewest)) }}{{ $load->which() === '' ? '' : ": {$load->which()}" }} ·
    <span
        class="{{ $load->capacity < $load->peak ? 'bad' : 'good' }}">{{ trans_choice('licences.there_are', count($load->accounts)) }}</span>
@endif
