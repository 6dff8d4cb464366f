"""Recording a run: the bench, the recorder, the protocol's lead, and the notebook, put together."""
