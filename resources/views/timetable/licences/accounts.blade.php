{{-- Which series stands on which account. load: Load --}}
<x-card :title="__('licences.which_on_which')">
    <div class="{{ ['left' => 'fault', 'unassigned' => 'warn', 'changed' => 'warn', 'right' => 'said'][$load->verdict()] }}">
        @include('timetable.licences.verdict')
    </div>
    @if ($load->canAssign())
        <p><x-act :to="route('licences.assign')" class="btn-main"
            :do="__($load->unassigned() > 0 ? 'licences.put_all' : 'licences.put_right')" />
            <span class="quiet">{{ __('licences.stays') }}</span>
        </p>
    @endif
    <table class="table-plain mt-2">
        <thead>
            <tr>
                <th scope="col">{{ __('licences.account') }}</th>
                <th scope="col">{{ __('licences.plan') }}</th>
                @foreach (['seats', 'minutes', 'at_once'] as $column)
                    <th scope="col" class="num">{{ __("licences.fields.$column") }}</th>
                @endforeach
                <th scope="col" class="num">{{ __('licences.on_it') }}</th>
                <th scope="col"><span class="visually-hidden">{{ __('licences.take_out') }}</span></th>
            </tr>
        </thead>
        <tbody>
            @foreach ($load->accounts as $account)
                @include('timetable.licences.account')
            @endforeach
        </tbody>
    </table>
</x-card>
