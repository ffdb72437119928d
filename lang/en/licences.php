<?php

return [
    'suffice' => '{0}no account is needed|{1}1 account suffices|[2,*]:count accounts suffice:which',
];
